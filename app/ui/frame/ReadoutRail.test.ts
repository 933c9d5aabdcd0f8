import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Quantity } from '#core/quantity'
import type { LiveLink } from '#shared/live'
import type { Freshness, LiveEntry } from '~/features/instruments/logic/liveBook'
import ReadoutRail from './ReadoutRail.vue'

const AT_MS = new Date('2026-11-30T13:05:09').getTime()
const entry = (quantity: Quantity, value: number | null, part: Partial<LiveEntry> = {}): LiveEntry => ({
  quantity,
  status: 'ok',
  value,
  standardUncertainty: null,
  instrumentId: 'i1',
  instrument: 'counter',
  receivedAtMs: AT_MS,
  ...part,
})
const rail = (
  entries: readonly LiveEntry[],
  rest: { freshness?: Freshness; links?: readonly LiveLink[]; connected?: boolean; started?: boolean } = {},
) =>
  mount(ReadoutRail, {
    props: {
      shown: (q: Quantity) => {
        const found = entries.find(e => e.quantity === q)
        return found ? { entry: found, freshness: rest.freshness ?? 'live' } : null
      },
      clock: { phase: 'idle', seconds: 0, limitS: null },
      warmth: { ofLimit: 0, coolInS: 0 },
      keySensed: true,
      links: rest.links ?? [],
      connected: rest.connected ?? true,
      started: rest.started ?? true,
    },
  })
const cell = (of: ReturnType<typeof rail>, quantity: Quantity) => of.find(`[data-quantity="${quantity}"]`)

describe('ReadoutRail', () => {
  it('shows what instruments read, in the unit of the bench', () => {
    const shown = rail([entry('powerW', 3.9), entry('carrierHz', 27_185_020)])
    expect(cell(shown, 'powerW').text()).toMatch(/3\.90 ?W/)
    expect(cell(shown, 'carrierHz').text()).toContain('MHz')
    expect(cell(shown, 'depthPositiveRatio').exists()).toBe(false)
  })
  it('says of a reading that does not update when it was read', () => {
    const shown = cell(rail([entry('powerW', 3.9)], { freshness: 'stale' }), 'powerW')
    expect(shown.classes()).toContain('stale')
    expect(shown.text()).toContain('last read 13:05')
    expect(shown.text()).toContain('not updating')
  })
  it('shows no number where there is none, and why', () => {
    const shown = cell(rail([entry('powerW', null, { status: 'overload' })]), 'powerW')
    expect(shown.get('b').text()).toBe('\u2013')
    expect(shown.text()).toContain('overload')
  })
  it('shows depth in the place of deviation when there is AM', () => {
    const shown = rail([entry('depthPositiveRatio', 0.8)])
    expect(cell(shown, 'depthPositiveRatio').exists()).toBe(true)
    expect(cell(shown, 'deviationPositiveHz').exists()).toBe(false)
  })
  it('names instruments that do not answer, and since when', () => {
    const links = [
      { instrumentId: 'i2', instrument: 'wattmeter', state: 'silent', sinceMs: AT_MS } as unknown as LiveLink,
    ]
    expect(
      rail([entry('powerW', 1)], { links })
        .get('[role="status"]')
        .text(),
    ).toMatch(/wattmeter.*13:05:09/)
  })
  it('tells apart: not asked yet, offline, none there', () => {
    const words = [rail([], { started: false }), rail([], { connected: false }), rail([])].map(r =>
      r.get('.empty').text(),
    )
    expect(words.map(w => /Connecting|offline|No instrument/.exec(w)?.[0])).toEqual([
      'Connecting',
      'offline',
      'No instrument',
    ])
  })
})
