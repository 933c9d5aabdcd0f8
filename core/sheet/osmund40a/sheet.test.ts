import { describe, expect, it } from 'vitest'
import { boundToStandard, type Quantity } from '../../quantity'
import { ruleSet } from '../../rules'
import { operatingPoint } from '../operatingPoint'
import { matrixState, runState, type JobEvent } from '../../run'
import { confirmed, turned } from '../../../test/fixtures/jobEvents'
import { OSMUND_40A as SHEET } from './sheet'

/** Values inside every window of the sheet. */
const GOOD: Partial<Record<Quantity, number>> = {
  onTimeS: 1500,
  vcoV: 2.2,
  lockS: 0.2,
  carrierHz: 27_185_005,
  powerW: 3.85,
  depthNegativeRatio: 0.9,
  depthPositiveRatio: 0.92,
  pepW: 14,
  adjacentDbc: -58,
  harmonicDbc: -66,
  audibleV: 0.5e-6,
  sinadDb: 11,
  sMeter: 9,
  panelPowerW: 3.8,
  supplyV: 13.8,
  supplyA: 1.2,
}
let count = 0
const uuid = () => `40000000-0000-4000-8000-${String(++count).padStart(12, '0')}`
function rowsOf(stepId: string | null, points = SHEET.matrix): JobEvent[] {
  return points.map(p => {
    const readings = p.wants.map(w => ({
      id: uuid(),
      quantity: w.quantity,
      value: GOOD[w.quantity]!,
      standardUncertainty: boundToStandard(Math.abs(GOOD[w.quantity]!) * 1e-7),
      source: 'typed' as const,
      instrument: null,
    }))
    return {
      kind: 'row-taken',
      id: uuid(),
      atMs: ++count,
      phase: stepId === null ? 'as-found' : 'adjusting',
      stepId,
      pointId: p.id,
      readings,
      conditions: { ...operatingPoint(p.state), supplyV: 13.8, load: SHEET.load, onTimeS: 1500 },
    }
  })
}
const wholeRun = () =>
  SHEET.procedure.flatMap(s => [
    ...rowsOf(s.id, s.points),
    ...(s.criterion?.kind === 'peak' ? rowsOf(s.id, s.points) : []),
    confirmed(s.id),
  ])
const state = (events: JobEvent[], rules = 'R-EU') => runState(SHEET, ruleSet(rules), events)

describe('an AM mobile', () => {
  it('goes through its procedure with good readings', () => {
    const run = state(wholeRun())
    expect(run.steps.filter(s => !s.satisfied).map(s => [s.step.id, s.status])).toEqual([])
    expect(run.next).toBeNull()
  })
  // The dependency table of the trade, written down again by step of this sheet.
  it.each([
    ['C31', ['A2.4', 'A2.5']],
    ['L1', ['A2.4', 'A2.9']],
    ['L6', ['A2.6a', 'A2.6c', 'A2.7', 'A2.8', 'A2.9', 'A2.11a']],
    ['L9', ['A2.6a', 'A2.6c', 'A2.7', 'A2.8', 'A2.9', 'A2.11a']],
    ['RV4', ['A2.6a', 'A2.6c', 'A2.7', 'A2.8', 'A2.9', 'A2.11a']],
    ['RV5', ['A2.8', 'A2.9']],
    ['RV1', ['A2.11a']],
    ['RV2', ['A2.11b']],
  ])('turning %s late makes %j stale and nothing else', (designator, stale) => {
    expect(
      state([...wholeRun(), turned(designator)])
        .steps.filter(s => s.status === 'stale')
        .map(s => s.step.id),
    ).toEqual(stale)
  })
  it('is judged by the limits of its mode', () => {
    const verdicts = (rules: string) =>
      matrixState(SHEET, ruleSet(rules), state(rowsOf(null), rules).history, 'as-found').flatMap(r =>
        r.cells.filter(c => c.requirement.limit).map(c => `${r.point.id} ${c.requirement.limit!.rule.id}`),
      )
    expect(verdicts('R-US')).toEqual(
      expect.arrayContaining(['carrier-19 R-US2', 'tone-19 R-US7-', 'purity R-US11']),
    )
    expect(verdicts('R-EU')).toEqual(expect.arrayContaining(['carrier-19 R-EU2', 'tone-19 R-EU10']))
    // Mean power with a tone holds the sidebands: 6 W there is no carrier above 4 W; SSB and FM limits do not
    // apply.
    expect(verdicts('R-US').filter(v => /tone-\d+ R-US[238]\b/.test(v))).toEqual([])
  })
})
