import { describe, expect, it } from 'vitest'
import { matrixRow, rowTaken, turned } from '../../test/fixtures/jobEvents'
import { boundToStandard, type Quantity } from '../quantity'
import {
  OWN_PLAN,
  absoluteLevel,
  absoluteLimits,
  channelPlan,
  ruleSet,
  withBandRules,
  type PlanBand,
  bandsLike,
} from '../rules'
import { runState, type JobEvent } from '../run'
import { changePlan, operatingPoint, modelSheet, pointOf, type ModelSheet } from '../sheet'
import { compliance, compliances } from './index'

const FM = modelSheet('osmund-27f')
const AM = modelSheet('osmund-40a')
const LX8 = modelSheet('larkfield-lx8')
const stepRowOf = (
  sheet: ModelSheet,
  stepId: string,
  pointId: string,
  values: Partial<Record<Quantity, number>>,
) => rowTaken('adjusting', stepId, pointId, values, operatingPoint(pointOf(sheet, stepId, pointId).state))
const run = (sheet: ModelSheet, events: readonly JobEvent[]) =>
  runState(sheet, ruleSet(sheet.defaultRuleSetId), events)
const of = (sheet: ModelSheet, rules: string, ...events: JobEvent[]) =>
  compliance(sheet, ruleSet(rules), run(sheet, events))

describe('a rule set is met only if each of its limits was measured', () => {
  const fmAsLeft = (powerW: number) =>
    [1, 20, 40].flatMap(c => [
      matrixRow(FM, 'as-left', `high-${c}`, {
        carrierHz: 27_591_250 + 10_000 * c + 5,
        powerW,
        supplyV: 13.8,
        supplyA: 1,
      }),
      matrixRow(FM, 'as-left', `low-${c}`, { powerW: 0.37, supplyA: 0.5 }),
      matrixRow(FM, 'as-left', `tone-${c}`, { deviationPositiveHz: 2400, deviationNegativeHz: 2400 }),
    ])
  it('a job without one reading shows nothing', () => {
    const { kind, standings } = of(FM, 'R-UK27')
    expect(kind).toBe('not-shown')
    expect(new Set(standings.map(s => s.outcome))).toEqual(new Set(['not-measured']))
  })
  it('what was found before work is not how it leaves', () => {
    expect(
      of(FM, 'R-UK27', matrixRow(FM, 'as-found', 'high-20', { powerW: 3.8 })).standings.find(
        s => s.id === 'R-UK2',
      )!.outcome,
    ).toBe('not-measured')
  })
  it('one limit that is missing is named, and the set is not called compliant', () => {
    const left = of(FM, 'R-UK27', ...fmAsLeft(3.8))
    expect(left.kind).toBe('not-shown')
    expect(left.standings.filter(s => s.outcome === 'not-measured').map(s => s.id)).toEqual([
      'R-UK7',
      'R-UK6',
    ])
    expect(left.standings.filter(s => s.outcome === 'inside').map(s => s.id)).toEqual([
      'R-UK2',
      'R-UK3',
      'R-UK4',
      'R-UK5+',
      'R-UK5-',
    ])
  })
  it('is broken by one reading, undecided by one that straddles', () => {
    expect(of(FM, 'R-UK27', ...fmAsLeft(4.5)).kind).toBe('outside')
    const straddling = of(FM, 'R-UK27', ...fmAsLeft(3.95)).standings.find(s => s.id === 'R-UK2')!
    expect(straddling).toMatchObject({ outcome: 'cannot-tell', undecided: 'uncertainty' })
    expect(of(FM, 'R-UK27').standings.every(s => s.undecided === null)).toBe(true)
  })
  it('what was turned afterwards is not measured any more', () => {
    const stale = of(FM, 'R-UK27', ...fmAsLeft(3.8), turned('RV1'))
    expect(stale.standings.find(s => s.id === 'R-UK3')!.outcome).toBe('not-measured')
  })
  it('a harmonic measured in the alignment is measured', () => {
    const measured = of(
      AM,
      'R-US',
      stepRowOf(
        AM,
        AM.procedure.find(s => s.points.some(p => p.wants.some(w => w.quantity === 'harmonicDbc')))!.id,
        AM.procedure.flatMap(s => s.points).find(p => p.wants.some(w => w.quantity === 'harmonicDbc'))!.id,
        { harmonicDbc: -75 },
      ),
    )
    expect(measured.standings.find(s => s.id === 'R-US11')!.outcome).toBe('inside')
  })
  it('limits of modes that a set does not have are none of its limits', () => {
    expect(of(AM, 'R-EU').standings.map(s => s.id)).not.toContain('R-EU3')
    expect(of(LX8, 'R-EU').standings.map(s => s.id)).toContain('R-EU3')
  })
  it('workshop targets are no law', () =>
    expect(of(FM, 'R-SHOP', ...fmAsLeft(3.8)).kind).toBe('no-legal-rules'))
})

describe('limits in watts', () => {
  const measured = (value: number, bound: number) => ({ value, standardUncertainty: boundToStandard(bound) })
  const eu = absoluteLimits(ruleSet('R-EU'), 27.185e6)
  // Worked by hand: 4 W is 36.02 dBm; 4 nW is -53.98 dBm; 20 uW is -16.99 dBm.
  it('the second harmonic of 27 MHz falls into a protected band: 4 nW, 90 dB below 4 W', () => {
    const [harmonic] = eu
    expect(harmonic).toMatchObject({ id: 'R-EU8', maxW: 4e-9 })
    const level = absoluteLevel(measured(-60, 2), measured(4, 0.12), harmonic!)
    expect(level.dbm).toBeCloseTo(-23.98, 2)
    expect(level.overDb).toBeCloseTo(30, 2)
    expect(level.verdict).toBe('above')
  })
  it.each([
    [-95, 'inside'],
    [-90, 'cannot-tell'],
    [-87, 'above'],
  ] as const)('%d dBc of 4 W: %s', (dbc, verdict) => {
    expect(absoluteLevel(measured(dbc, 2), measured(4, 0.12), eu[0]!).verdict).toBe(verdict)
  })
  it('-22 dBc of 4.4 W is +14.4 dBm: 31 dB over the adjacent channel', () => {
    const level = absoluteLevel(measured(-22, 1.5), measured(4.4, 0.13), eu[1]!)
    expect(level.dbm).toBeCloseTo(14.4, 1)
    expect(level.overDb).toBeCloseTo(31.4, 1)
  })
  it('a floor reading decides only downwards, an unknown uncertainty nothing', () => {
    expect(absoluteLevel({ ...measured(-85, 2), bound: 'at-most' }, measured(4, 0.1), eu[0]!).verdict).toBe(
      'cannot-tell',
    )
    expect(absoluteLevel({ value: -60, standardUncertainty: null }, measured(4, 0.1), eu[0]!).verdict).toBe(
      'cannot-tell',
    )
  })
  it('a harmonic inside -60 dBc breaks R-EU on every mode that has its carrier', () => {
    const events = [
      matrixRow(LX8, 'as-left', 'am-D19', {
        carrierHz: 27_185_000,
        powerW: 3.8,
        supplyV: 13.8,
        supplyA: 1.7,
      }),
      matrixRow(LX8, 'as-left', 'purity-am', { adjacentDbc: -70, harmonicDbc: -75 }),
    ]
    expect(of(LX8, 'R-EU', ...events).standings.find(s => s.id === 'R-EU8')).toMatchObject({
      outcome: 'above',
      row: 'AM D 19, 2.5 kHz tone, spectrum',
    })
    expect(of(LX8, 'R-EU', events[1]!).standings.find(s => s.id === 'R-EU8')!.outcome).toBe('not-measured')
  })
})

const UK_20 = 60
const named = (name: string, planId: string): PlanBand => ({ ...bandsLike(channelPlan(planId))[0]!, name })
/** The forty channels, and forty others on the same switch. */
const TWO_PLANS: ModelSheet = changePlan(modelSheet('osmund-40a'), {
  planId: OWN_PLAN,
  bands: [named('home', 'forty'), named('FM-UK', 'uk27')],
})
const reads = (quantity: string) => (p: ModelSheet['matrix'][number]) =>
  p.wants.some(w => w.quantity === quantity)
const HARMONIC = TWO_PLANS.matrix.find(reads('harmonicDbc'))!
const CARRIER = TWO_PLANS.matrix.find(p => p.state.toneHz === null && reads('powerW')(p))!
/** Both rows on one channel. */
const on = (channel: number): ModelSheet => ({
  ...TWO_PLANS,
  matrix: TWO_PLANS.matrix.map(p =>
    p === HARMONIC || p === CARRIER ? { ...p, state: { ...p.state, channel } } : p,
  ),
})
/** A harmonic far above what any rule set of these bands allows. */
function outcomes(sheet: ModelSheet, rules: string) {
  const left = ({ id }: typeof HARMONIC, values: Parameters<typeof matrixRow>[3]) =>
    matrixRow(sheet, 'as-left', id, values)
  const events = [left(CARRIER, { powerW: 3.9 }), left(HARMONIC, { harmonicDbc: -30 })]
  const found = compliance(sheet, ruleSet(rules), runState(sheet, ruleSet(rules), events))
  return found.standings
    .filter(s => 'quantity' in s.limit && s.limit.quantity === 'harmonicDbc')
    .map(s => s.outcome)
}

describe('limits on what lies beside the carrier', () => {
  it('hold on the channels that the rule set is about', () => {
    expect(outcomes(on(19), 'R-EU')).toEqual(['above'])
  })
  it('say nothing of a channel of another plan: it was not measured where they hold', () => {
    expect(outcomes(on(UK_20), 'R-EU')).toEqual(['not-measured'])
  })
})

describe('rules of a band', () => {
  const M9 = modelSheet('corvid-m9')
  const rules = withBandRules(ruleSet('R-EU'), [M9], ruleSet)
  const left = (pointId: string, powerW: number) => matrixRow(M9, 'as-left', pointId, { powerW })
  const carrier = (...events: JobEvent[]) =>
    compliances(M9, rules, runState(M9, rules, events)).map(({ rules: { id }, kind, standings }) => [
      id,
      kind,
      standings.find(s => 'quantity' in s.limit && s.limit.quantity === 'powerW')!.row,
    ])
  it('are judged by themselves, each by the rows of its own channels', () =>
    expect(carrier(left('fm-standard', 3.5), left('fm-uk', 4.6))).toEqual([
      ['R-EU', 'not-shown', 'FM, home state'],
      ['R-UK27', 'outside', 'FM-UK, home state'],
    ]))
  it('ask for no low position that these channels do not have', () => {
    const [, uk] = compliances(M9, rules, runState(M9, rules, []))
    expect(uk!.standings.map(s => s.id)).not.toContain('R-UK3')
  })
})
