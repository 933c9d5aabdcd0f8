import { describe, expect, it } from 'vitest'
import { rowTaken, turned } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import { modelSheet } from '../sheet'
import { canBeStruck, jobSheet, keyDownTotals, runState, validEvents, type JobEvent } from './index'

const FM = modelSheet('osmund-27f')
let n = 0
const event = (e: object) =>
  ({ id: `00000000-0000-4000-9000-${String(++n).padStart(12, '0')}`, atMs: n, ...e }) as JobEvent
const amend = (line: string, to: unknown) =>
  event({ kind: 'sheet-amended', changes: [{ line, from: null, to }], reason: '', who: '' })
const strike = (e: JobEvent) => event({ kind: 'event-struck', eventId: e.id, reason: 'mistake' })

describe('the sheet of a job', () => {
  it('is its revision with its own corrections, in order, and its schools', () => {
    const sheet = jobSheet(FM, { S01: 'a' }, [
      amend('adjuster/CT2/where', 'here'),
      amend('adjuster/CT2/where', 'there'),
    ])
    expect(sheet.adjusters.find(a => a.designator === 'CT2')!.where).toBe('there')
    expect(sheet.procedure.find(s => s.id === 'A1.5')!.points[0]!.wants[0]!.target).toMatchObject({
      lowHz: -10,
      highHz: 10,
    })
  })
  it('leaves out what was struck out, and what cannot stand without it', () => {
    const first = amend('step/A1.5/adjusters', ['CT3'])
    expect(jobSheet(FM, {}, [first, strike(first)])).toBe(FM)
    expect(
      jobSheet(FM, {}, [amend('adjuster/CT99/where', 'x'), amend('adjuster/CT2/tool', 'y')]).adjusters.find(
        a => a.designator === 'CT2',
      )!.tool,
    ).toBe('y')
  })
  it('turns what the corrected line says', () => {
    const events = [amend('step/A1.5/adjusters', ['CT3']), turned('CT3')]
    expect(
      runState(jobSheet(FM, {}, events), ruleSet('R-UK27'), events).history.turns.map(t => t.role),
    ).toEqual(['rx-crystal'])
  })
})

describe('struck out', () => {
  it('an entry no longer counts: a turn makes nothing stale, a confirmation confirms nothing', () => {
    const row = rowTaken('as-found', null, 'high-20', { carrierHz: 27_791_250 })
    const turn = turned('CT1')
    const stale = (events: JobEvent[]) =>
      runState(FM, ruleSet('R-UK27'), events).history.readings[0]!.staleBy.length
    expect([stale([row, turn]), stale([row, turn, strike(turn)])]).toEqual([1, 0])
  })
  it('readings, signatures and strikes are not struck out this way', () => {
    const row = rowTaken('as-found', null, 'high-20', { powerW: 3 })
    expect(canBeStruck(row)).toBe(false)
    const first = strike(turned('CT1'))
    expect(validEvents([row, strike(row), first, strike(first)])).toHaveLength(4)
  })
})

describe('seconds keyed', () => {
  it('add up in all and by step, without what was struck out', () => {
    const keyed = (untilS: number, lengthS: number, stepId: string | null) => ({
      ...event({ kind: 'keyed', stepId, lengthS }),
      atMs: untilS * 1000,
    })
    const events = [keyed(10, 4, 'A1.5'), keyed(20, 2, null), keyed(40, 3, 'A1.5')]
    expect(keyDownTotals(events)).toEqual({
      totalS: 9,
      byStep: new Map([
        ['A1.5', 7],
        [null, 2],
      ]),
    })
    expect(keyDownTotals([...events, strike(events[0]!)]).totalS).toBe(5)
    // Two screens that saw one key-down a little differently: 4 s and a tenth, not 8.
    expect(keyDownTotals([keyed(10, 4, 'A1.5'), keyed(10.1, 4, 'A1.5')]).totalS).toBeCloseTo(4.1, 9)
  })
})
