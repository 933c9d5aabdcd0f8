import { describe, expect, it } from 'vitest'
import { goodRun, matrixRow, turned } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import type { JobEvent, Phase } from '../run'
import { modelSheet, type ModelSheet } from '../sheet'
import { jobState } from '../work'
import { adjusted } from './index'

const FM = modelSheet('osmund-27f')

describe('what was adjusted', () => {
  const summary = (sheet: ModelSheet, ...events: JobEvent[]) => {
    const state = jobState(sheet, ruleSet(sheet.defaultRuleSetId), events)
    return adjusted(state.run, state.compared, events)
  }
  it('is said, inferred, or neither', () => {
    const nothing = { declared: [], returned: [], inferred: [], unexplained: [], elsewhere: [] }
    expect(summary(FM)).toEqual(nothing)
    expect(summary(FM, ...goodRun(), turned('RV3')).declared.map(t => t.designator)).toEqual(['RV3'])
  })
  it('is not what was put back to its mark, unless it was turned again', () => {
    const back = { ...turned('CT3'), isReturned: true } as JobEvent
    const names = (...events: JobEvent[]) => {
      const { declared, returned } = summary(FM, ...events)
      return [declared, returned].map(list => list.map(t => t.designator))
    }
    expect(names(turned('CT2'), turned('CT3'), back)).toEqual([['CT2'], ['CT3']])
    expect(names(turned('CT3'), back, turned('CT3'))).toEqual([['CT3'], []])
  })
  it('readings that changed without a turn on record are named', () => {
    const at = (phase: Phase, powerW: number) =>
      matrixRow(FM, phase, 'high-20', { carrierHz: 27_791_255, powerW, supplyV: 13.8, supplyA: 1 })
    expect(
      summary(FM, at('as-found', 5.02), at('as-left', 3.95)).unexplained.map(c => [
        c.point.id,
        c.want.quantity,
      ]),
    ).toEqual([['high-20', 'powerW']])
    expect(summary(FM, at('as-found', 3.9), at('as-left', 3.92)).unexplained).toEqual([])
    const replaced: JobEvent = {
      id: crypto.randomUUID(),
      atMs: 1,
      kind: 'part-changed',
      designator: 'Q5',
      partOut: 'C12',
      partIn: 'the same',
      isFinal: false,
      text: '',
    }
    const struckOut: JobEvent = {
      id: crypto.randomUUID(),
      atMs: 2,
      kind: 'event-struck',
      eventId: replaced.id,
      reason: 'another set',
    }
    const changed = [at('as-found', 5.02), at('as-left', 3.95)]
    expect(summary(FM, ...changed, replaced).unexplained).toEqual([])
    expect(summary(FM, ...changed, replaced, struckOut).unexplained).toHaveLength(1)
  })
})
