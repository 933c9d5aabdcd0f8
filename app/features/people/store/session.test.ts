// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { NOBODY, type Me } from '#shared/people'
import { personHere, signInNeeded } from '~/data/whoIsHere'
import { useSessionStore } from './session'

const api = vi.hoisted(() => ({ $api: vi.fn() }))
const snapshots = vi.hoisted(() => ({ forgetSnapshots: vi.fn(async () => {}) }))
vi.mock('~/data/api', () => api)
vi.mock('~/data/outboxDb', () => snapshots)

const ADA: Me = {
  isSetUp: true,
  signIn: true,
  workshop: 'Weirside Bench',
  address: null,
  ruleSetId: null,
  person: { personId: '7', name: 'Ida Moorland', role: 'technician' },
  known: [],
  hasPasskeys: false,
  hasPractice: false,
}
const NOBODY_IN: Me = { ...ADA, person: null }

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
  localStorage.clear()
  personHere.value = NOBODY
  signInNeeded.value = false
})

/** Somebody signed in, then a new page of the same browser. */
async function pageAfter(me: Me) {
  api.$api.mockResolvedValue(me)
  await useSessionStore().begin()
  await vi.advanceTimersByTimeAsync(0)
  setActivePinia(createPinia())
  personHere.value = NOBODY
}

describe('who is here while the server is away', () => {
  it('is who was signed in last, until the server answers', async () => {
    await pageAfter(ADA)
    api.$api.mockRejectedValue(new Error('no answer'))
    const session = useSessionStore()
    await session.begin()
    expect([session.me.person?.name, session.asks, personHere.value]).toEqual(['Ida Moorland', false, '7'])
    api.$api.mockResolvedValue(NOBODY_IN)
    await vi.advanceTimersByTimeAsync(6000)
    expect([session.me.person, session.asks]).toEqual([null, true])
  })
  it('is nobody after signing out, and no job stays behind in the browser', async () => {
    await pageAfter(ADA)
    api.$api.mockResolvedValue(NOBODY_IN)
    await useSessionStore().signOut()
    expect(snapshots.forgetSnapshots).toHaveBeenCalledOnce()
    await vi.advanceTimersByTimeAsync(0)
    setActivePinia(createPinia())
    api.$api.mockRejectedValue(new Error('no answer'))
    const session = useSessionStore()
    await session.begin()
    expect([session.me.person, personHere.value]).toEqual([null, NOBODY])
  })
})
