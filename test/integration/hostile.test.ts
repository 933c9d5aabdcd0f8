import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { HOSTILE_NAMES, RAW_BODIES, poisoned } from '../fixtures/hostile'
import { command } from './command'
import { INTAKE, testHouse, type TestHouse } from './house'
import { ROUTES, badAnswer, filled } from './probe'
import { validRequests } from './validRequests'

let house: TestHouse
let jobId: string
beforeAll(async () => {
  house = await testHouse({ demo: false })
  jobId = await house.newJob()
}, 240_000)
afterAll(() => house?.stop())

const bad = (method: string, path: string, body?: string) => badAnswer(house, { method, path }, body)

describe('No request', () => {
  it('of any form is answered by a server error, without words, or with much work', async () => {
    const answers: (string | null)[] = []
    for (const { method, path } of ROUTES)
      for (const name of [...HOSTILE_NAMES, randomUUID()]) {
        if (method === 'GET') answers.push(await bad('GET', filled(path, name)))
        else if (name === HOSTILE_NAMES[0] || path.includes('['))
          for (const body of RAW_BODIES) answers.push(await bad(method, filled(path, name), body))
      }
    expect(answers.filter(a => a !== null)).toEqual([])
  }, 600_000)

  it('with a doubled or unfit query either', async () => {
    const answers: (string | null)[] = []
    for (const path of [
      '/api/search',
      '/api/jobs/earlier',
      '/api/recordings',
      '/api/models/osmund-27f/history',
    ])
      for (const query of [
        'words=a&words=b',
        'jobId=1&jobId=2',
        'serial=%00&sheetId=x',
        'page=99999999999',
        'job=x',
      ])
        answers.push(await bad('GET', `${path}?${query}`))
    for (const query of ['copy=owner&copy=shop', 'issue=99999999999', 'issue=-1', 'copy=%00'])
      answers.push(await bad('GET', `/api/jobs/${jobId}/handover.pdf?${query}`))
    expect(answers.filter(a => a !== null)).toEqual([])
  })

  it('with any value of it broken either; what was taken can still be shown', async () => {
    const answers: (string | null)[] = []
    for (const { method, path, body } of validRequests(jobId))
      for (const broken of poisoned(body)) answers.push(await bad(method, path, JSON.stringify(broken) ?? ''))
    expect(answers.filter(a => a !== null)).toEqual([])
    for (const path of [
      '/api/jobs',
      '/api/calendar.ics',
      '/api/sheets',
      '/api/instruments',
      '/api/search',
      '/api/blocked-periods',
      `/api/jobs/${jobId}`,
      `/api/jobs/${jobId}/record.json`,
      `/api/jobs/${jobId}/record.csv`,
      `/api/jobs/${jobId}/handover.pdf?copy=owner`,
      `/api/jobs/${jobId}/handover.pdf?copy=shop`,
      `/api/jobs/${jobId}/tag.pdf`,
    ])
      expect([path, (await fetch(house.address + path)).status]).toEqual([path, 200])
    // Whatever was taken came back as it was sent: each entry is held against its chain.
    expect(await command('check', [], { DATABASE_URL: house.env.DATABASE_URL })).toEqual({
      status: 0,
      said: expect.stringMatching(/: whole\.\n$/) as string,
    })
  }, 600_000)
})

describe('Another site', () => {
  const from = (headers: Record<string, string>, body = '{}') =>
    fetch(`${house.address}/api/jobs`, { method: 'POST', headers, body })
  it.each([
    ['its page', { 'origin': 'http://elsewhere.example', 'content-type': 'application/json' }],
    ['its form', { 'content-type': 'text/plain' }],
    ['a page of another port here', { 'origin': 'http://127.0.0.1:1', 'content-type': 'application/json' }],
  ])('writes nothing: %s', async (_, headers) => {
    const answer = await from(
      headers as unknown as Record<string, string>,
      JSON.stringify({ ...INTAKE, id: randomUUID() }),
    )
    expect(answer.status).toBe(403)
    expect(await answer.text()).toMatch(/foreign-(origin|type)/)
  })

  it('frames no page, and no page runs what did not come with it', async () => {
    const page = await fetch(house.address)
    const policy = page.headers.get('content-security-policy') ?? ''
    expect(policy).toContain("frame-ancestors 'none'")
    expect(policy).toMatch(/script-src 'self' 'wasm-unsafe-eval' 'sha256-/)
    expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/)
    expect(page.headers.get('x-content-type-options')).toBe('nosniff')
  })
})
