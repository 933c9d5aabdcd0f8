import { describe, expect, it } from 'vitest'
import { rowTaken, struck } from '../../test/fixtures/jobEvents'
import type { JobEvent } from '../run'
import { SHEETS, modelSheet } from '../sheet'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { nextUseful, overlapMinutes, soakLog, soakPoint, soaks, warmUp, type BenchJob } from './index'

const NOW = Date.parse('2026-11-25T10:00:00Z')
const TODAY = '2026-11-25'
const job = (id: string, change: Partial<BenchJob> = {}): BenchJob => ({
  id,
  sheetId: 'osmund-27f',
  ahead: ['align', 'as-left', 'soak', 'handover'],
  waitsFor: null,
  stopped: false,
  warmUp: { sinceMs: 0, warmAtMs: 0 },
  soakEndsAtMs: null,
  promisedOn: null,
  ...change,
})
const kinds = (...jobs: BenchJob[]) => nextUseful(jobs, NOW, TODAY).map(s => `${s.kind} ${s.jobId}`)

describe('the next useful thing', () => {
  it('is a stop rule before anything else, then a soak that is over', () => {
    expect(
      kinds(
        job('a'),
        job('b', { stopped: true }),
        job('c', { soakEndsAtMs: NOW - 1, sheetId: 'x' }),
        job('d', { soakEndsAtMs: NOW + 1, sheetId: 'x' }),
      ),
    ).toEqual(['stopped b', 'soak-due c', 'go-on a'])
  })
  it('lets a cold set warm while another is worked on; one that nobody measures next stays off', () => {
    expect(kinds(job('a'), job('b', { warmUp: null, sheetId: 'x' }))).toEqual(['switch-on b', 'go-on a'])
    expect(kinds(job('a'), job('b', { warmUp: null, sheetId: 'x', ahead: ['handover'] }))).toEqual([
      'go-on a',
    ])
    expect(kinds(job('a', { warmUp: null }))).toEqual(['go-on a'])
  })
  it('asks an owner again who is silent for three days, and takes nothing up that waits', () => {
    const waiting = (days: number) =>
      job('w', { waitsFor: { who: 'owner', sinceMs: NOW - days * 86_400_000, text: '', untilDay: null } })
    expect(kinds(waiting(2))).toEqual([])
    expect(kinds(waiting(3))).toEqual(['ask-again w'])
  })
  it('goes by promised days, then by the order on the bench, and names others of the same model', () => {
    expect(kinds(job('a'), job('b', { promisedOn: '2026-11-26', sheetId: 'x' }))).toEqual(['promised b'])
    expect(nextUseful([job('a', { promisedOn: '2026-11-20' })], NOW, TODAY)).toEqual([
      { kind: 'promised', jobId: 'a', late: true, promisedOn: '2026-11-20' },
    ])
    expect(nextUseful([job('a', { promisedOn: '2026-12-20' }), job('b'), job('c')], NOW, TODAY)).toEqual([
      { kind: 'go-on', jobId: 'a' },
      { kind: 'batch', jobId: 'b', like: 'a', others: 2 },
    ])
    expect(nextUseful([], NOW, TODAY)).toEqual([])
  })
})

describe('warming', () => {
  const on: JobEvent = { kind: 'warm-up-begun', id: 'w', atMs: NOW }
  it('takes 20 minutes, 30 for SSB and valves, and is forgotten overnight', () => {
    expect(warmUp(OSMUND_27F, [on], NOW + 1)).toEqual({ sinceMs: NOW, warmAtMs: NOW + 1_200_000 })
    expect(warmUp(modelSheet('larkfield-lx8'), [on], NOW)!.warmAtMs).toBe(NOW + 1_800_000)
    expect(warmUp(OSMUND_27F, [on], NOW + 13 * 3_600_000)).toBeNull()
    expect(warmUp(OSMUND_27F, [], NOW)).toBeNull()
  })
  it('W02: six sets of 25 and 40 minutes take 390 one by one, 265 overlapped', () => {
    expect(overlapMinutes(6, 25, 40)).toEqual({ serial: 390, overlapped: 265 })
  })
})

describe('the log of a soak', () => {
  const begun: JobEvent = { kind: 'soak-begun', id: 's', atMs: 1_795_000_000_000, hours: 2, text: '' }
  const log = (events: readonly JobEvent[]) => soakLog(OSMUND_27F, events, soaks(events)[0]!)
  const logged = (powerW: number, carrierHz = 27_791_250) =>
    rowTaken('soak', null, 'high-20', { powerW, carrierHz })
  it('holds the first against the last: 0.5 dB less is a fault', () => {
    expect(log([begun, logged(4), logged(3.6, 27_791_238)])).toMatchObject({ fades: false, driftHz: -12 })
    expect(log([begun, logged(4), logged(3.5)]).fades).toBe(true)
    expect(log([begun])).toMatchObject({ readings: [], dropDb: null, fades: false })
  })
  it('does not count what was struck out, nor what was measured as left', () => {
    const slip = logged(1) as Extract<JobEvent, { kind: 'row-taken' }>
    expect(
      log([
        begun,
        logged(4),
        slip,
        ...slip.readings.map(r => struck(r.id)),
        rowTaken('as-left', null, 'high-20', { powerW: 2 }),
      ]).readings,
    ).toHaveLength(1)
  })
  it.each(SHEETS.map(s => [s.model, s] as const))('%s has a row to log with', (_model, sheet) => {
    expect(soakPoint(sheet).wants.map(w => w.quantity)).toContain('powerW')
  })
})
