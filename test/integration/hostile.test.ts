import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { blankSheet } from '../../core/sheet'
import { BARE_INSTRUMENT } from '../../shared/instrumentSetup'
import { fmRow } from '../fixtures/fmRow'
import { HOSTILE_NAMES, RAW_BODIES, poisoned } from '../fixtures/hostile'
import { filesUnder } from '../filesUnder'
import { command } from './command'
import { INTAKE, testHouse, type TestHouse } from './house'

/**
 * More work than this for one request is a way to stop the house [ms of the server's processor time]. By the
 * clock it would be a test of the machine; the second limit only ends a request that is never answered.
 */
const MAX_WORK_MS = 1000
const NEVER_MS = 60_000

interface Route {
  readonly method: string
  readonly path: string
}
/** Every route there is, from the files that make them. */
const ROUTES: readonly Route[] = filesUnder(['server/api'], /\.ts$/).map(file => {
  const [, path, method] = /^server(\/api\/.*?)(?:\/index)?\.(get|post|put|patch|delete)\.ts$/.exec(file)!
  return { method: method!.toUpperCase(), path: path! }
})
/** Streams that never end are opened elsewhere. */
const STREAMS = /\/live$/

let house: TestHouse
let jobId: string
beforeAll(async () => {
  house = await testHouse({ demo: false })
  jobId = await house.newJob()
}, 240_000)
afterAll(() => house?.stop())

/** What came back that no request may get: a server error, an answer without words, or far too much work. */
async function badAnswer(method: string, path: string, body?: string): Promise<string | null> {
  const before = house.workedMs()
  const answer = await fetch(house.address + path, {
    method,
    signal: AbortSignal.timeout(NEVER_MS),
    ...(body === undefined ? {} : { body, headers: { 'content-type': 'application/json' } }),
  })
  const text = await answer.text()
  const workMs = house.workedMs() - before
  const what = `${method} ${path.slice(0, 80)} ${body?.slice(-300) ?? ''}`
  if (workMs > MAX_WORK_MS) return `${what}: ${workMs} ms of work`
  // Without instruments and without a simulated bench their routes say that those are away.
  if (answer.status >= 500 && !/"(gateway|bench)-away"/.test(text)) return `${what}: ${answer.status}`
  const words =
    answer.status >= 400 && path.startsWith('/api') && !/"message":\s*"(?:[^"\\]|\\.){3,}/.test(text)
  return words ? `${what}: ${answer.status} without words: ${text.slice(0, 80)}` : null
}

const filled = (path: string, name: string) => path.replace(/\[\w+\]/g, name)
const stamped = (event: object) => ({ id: randomUUID(), atMs: 1_795_000_000_000, ...event })

const EVENTS = [
  fmRow(),
  { kind: 'adjuster-turned', designators: ['CT2'], stepId: 'A1.5', startPosition: '' },
  { kind: 'step-confirmed', stepId: 'A1.5', outcome: 'done', reason: '' },
  { kind: 'note', stepId: null, text: 'a note' },
  { kind: 'keyed', stepId: null, lengthS: 3 },
  {
    kind: 'sheet-amended',
    changes: [{ line: 'adjuster/CT2/turn', from: 'more capacitance lowers, 180\u00b0 range', to: 'left' }],
    reason: '',
    who: '',
  },
  { kind: 'power-tried', limitA: 1.5, idleA: 0.31, seen: 'normal', text: '' },
  { kind: 'item-inspected', itemId: 'I31', state: 'ask', text: '' },
  { kind: 'reminder-set', condition: 'spectrum', text: 'look at L8' },
  { kind: 'wait-begun', waitsFor: 'parts', text: 'crystal', untilDay: '2026-12-20' },
  { kind: 'test-made', observableId: 'cores', outcome: 'off', text: '' },
  { kind: 'cause-confirmed', causeId: 'coils-off', text: '' },
  { kind: 'soak-begun', hours: 4, text: '' },
  { kind: 'challenge-kept', readingId: randomUUID(), rule: 'P10', reason: 'seen twice' },
]

/** Requests that are taken as they stand, with the value to be broken in each. */
const requests = (): { method: string; path: string; body: object }[] => [
  { method: 'POST', path: '/api/jobs', body: { ...INTAKE, id: randomUUID() } },
  {
    method: 'PATCH',
    path: `/api/jobs/${jobId}`,
    body: { version: 1, owner: 'Barge Coot', promisedOn: '2026-12-01' },
  },
  ...EVENTS.map(e => ({ method: 'POST', path: `/api/jobs/${jobId}/events`, body: stamped(e) })),
  { method: 'PUT', path: '/api/jobs/order', body: { order: [{ id: jobId, bench: 1 }], was: [] } },
  {
    method: 'POST',
    path: '/api/instruments',
    body: { name: 'Meter', profileId: 'scpi-power-meter', host: '127.0.0.1', port: 9, ...BARE_INSTRUMENT },
  },
  {
    method: 'POST',
    path: '/api/blocked-periods',
    body: { id: randomUUID(), fromDay: '2031-07-01', toDay: '2031-08-15', why: 'boat season' },
  },
  {
    method: 'POST',
    path: '/api/sheets',
    body: { sheet: blankSheet('of-ours', 'Of ours', '2026-11-29'), who: '', reason: 'new' },
  },
  {
    method: 'POST',
    path: '/api/recordings',
    body: { id: randomUUID(), jobId, name: 'r.wav', bytes: 1000 },
  },
  {
    method: 'POST',
    path: '/api/search/views',
    body: {
      id: randomUUID(),
      name: 'late',
      query: { words: 'x', sheetId: '', state: 'any', causeId: '' },
      replaces: null,
    },
  },
]

describe('No request', () => {
  it('of any form is answered by a server error, without words, or with much work', async () => {
    const bad: (string | null)[] = []
    for (const { method, path } of ROUTES.filter(r => !STREAMS.test(r.path)))
      for (const name of [...HOSTILE_NAMES, randomUUID()]) {
        if (method === 'GET') bad.push(await badAnswer('GET', filled(path, name)))
        else if (name === HOSTILE_NAMES[0] || path.includes('['))
          for (const body of RAW_BODIES) bad.push(await badAnswer(method, filled(path, name), body))
      }
    expect(bad.filter(b => b !== null)).toEqual([])
  }, 600_000)

  it('with a doubled or unfit query either', async () => {
    const bad: (string | null)[] = []
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
        bad.push(await badAnswer('GET', `${path}?${query}`))
    for (const query of ['copy=owner&copy=shop', 'issue=99999999999', 'issue=-1', 'copy=%00'])
      bad.push(await badAnswer('GET', `/api/jobs/${jobId}/handover.pdf?${query}`))
    expect(bad.filter(b => b !== null)).toEqual([])
  })

  it('with any value of it broken either; what was taken can still be shown', async () => {
    const bad: (string | null)[] = []
    for (const { method, path, body } of requests())
      for (const broken of poisoned(body))
        bad.push(await badAnswer(method, path, JSON.stringify(broken) ?? ''))
    expect(bad.filter(b => b !== null)).toEqual([])
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
