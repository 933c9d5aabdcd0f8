import { describe, expect, it } from 'vitest'
import { confirmed, goodRun, matrixRow } from '../../test/fixtures/jobEvents'
import { ruleSet } from '../rules'
import type { JobEvent } from '../run'
import { modelSheet, type ModelSheet } from '../sheet'
import { jobState } from '../work'

const FM = modelSheet('osmund-27f')

describe('open items', () => {
  const items = (sheet: ModelSheet, ...events: JobEvent[]) =>
    jobState(sheet, ruleSet(sheet.defaultRuleSetId), events).items
  it('of a row that was taken in part name what is missing', () => {
    expect(
      items(FM, matrixRow(FM, 'as-found', 'high-20', { carrierHz: 27_791_255, powerW: 3 })).find(
        i => i.id === 'as-found:high-20',
      )!.detail,
    ).toEqual({
      code: 'item.someNotMeasuredBefore',
      values: { list: [{ term: 'Supply' }, { term: 'Supply current' }] },
    })
  })
  it('hold a reading as left that contradicts another, until it is confirmed with a reason', () => {
    const impossible = matrixRow(FM, 'as-left', 'high-20', {
      carrierHz: 27_791_255,
      powerW: 3.8,
      supplyV: 13.8,
      supplyA: 0.2,
    }) as Extract<JobEvent, { kind: 'row-taken' }>
    const doubt = (...more: JobEvent[]) =>
      items(FM, impossible, ...more)
        .filter(i => i.kind === 'as-left-doubtful')
        .map(i => i.title)
    expect(doubt()).toEqual(['Channel 20, high power'])
    const reading = impossible.readings.find(r => r.quantity === 'powerW')!
    expect(
      doubt({
        kind: 'challenge-kept',
        id: 'k',
        atMs: 0,
        readingId: reading.id,
        rule: 'P06',
        reason: 'slow ammeter',
      }),
    ).toEqual([])
  })
  it('a soak that never ran is not complete, handed over or not', () => {
    const { done } = jobState(FM, ruleSet('R-UK27'), [
      ...goodRun(),
      confirmed('A1.15'),
      { kind: 'handed-over', id: 'h', atMs: 0, text: '' },
    ])
    expect([done.soak, done.inspection, done.handover]).toEqual([false, false, true])
  })
})
