import { describe, expect, it } from 'vitest'
import { confirmed, goodRun, rowTaken, turned } from '../../test/fixtures/jobEvents'
import { boundToStandard, type Quantity } from '../quantity'
import { absoluteLevel, absoluteLimits, ruleSet } from '../rules'
import { operatingPoint, modelSheet, pointOf, type ModelSheet } from '../sheet'
import { jobState } from '../work'
import { runState, type JobEvent, type Phase } from '../run'
import { adjusted, carrierAdvice, compliance } from './index'

const FM = modelSheet('osmund-27f')
const AM = modelSheet('osmund-40a')
const LX8 = modelSheet('larkfield-lx8')
const HB = modelSheet('quillon-hb150')
const TALLIS = modelSheet('brantwick-tallis60')

/** A row of the matrix as its point asks for it. */
function row(
  sheet: ModelSheet,
  phase: Phase,
  pointId: string,
  values: Partial<Record<Quantity, number>>,
): JobEvent {
  return rowTaken(phase, null, pointId, values, operatingPoint(pointOf(sheet, null, pointId).state))
}
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
      row(FM, 'as-left', `high-${c}`, {
        carrierHz: 27_591_250 + 10_000 * c + 5,
        powerW,
        supplyV: 13.8,
        supplyA: 1,
      }),
      row(FM, 'as-left', `low-${c}`, { powerW: 0.37, supplyA: 0.5 }),
      row(FM, 'as-left', `tone-${c}`, { deviationPositiveHz: 2400, deviationNegativeHz: 2400 }),
    ])
  it('a job without one reading shows nothing', () => {
    const { kind, standings } = of(FM, 'R-UK27')
    expect(kind).toBe('not-shown')
    expect(new Set(standings.map(s => s.outcome))).toEqual(new Set(['not-measured']))
  })
  it('what was found before work is not how it leaves', () => {
    expect(
      of(FM, 'R-UK27', row(FM, 'as-found', 'high-20', { powerW: 3.8 })).standings.find(s => s.id === 'R-UK2')!
        .outcome,
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
      row(LX8, 'as-left', 'am-D19', { carrierHz: 27_185_000, powerW: 3.8, supplyV: 13.8, supplyA: 1.7 }),
      row(LX8, 'as-left', 'purity-am', { adjacentDbc: -70, harmonicDbc: -75 }),
    ]
    expect(of(LX8, 'R-EU', ...events).standings.find(s => s.id === 'R-EU8')).toMatchObject({
      outcome: 'above',
      row: 'AM D 19, 2.5 kHz tone, spectrum',
    })
    expect(of(LX8, 'R-EU', events[1]!).standings.find(s => s.id === 'R-EU8')!.outcome).toBe('not-measured')
  })
})

describe('how high to leave the AM carrier', () => {
  const advice = (sheet: ModelSheet, ...events: JobEvent[]) =>
    carrierAdvice(sheet, ruleSet(sheet.defaultRuleSetId), run(sheet, events))
  it('of the valve set from its AM row, never from the CW one', () => {
    const events = [
      row(HB, 'as-left', 'band-3', { plateA: 0.25, powerW: 120 }),
      row(HB, 'as-left', 'am-carrier', { powerW: 28, plateA: 0.15 }),
    ]
    expect(advice(HB, ...events)).toMatchObject({
      maxW: 28,
      by: 'as-is',
      setting: 'carrier at the AM mark',
    })
    expect(advice(HB, events[0]!)).toBeNull()
  })
  it('of the high-power set at its mark, never at its minimum', () => {
    const events = [
      row(TALLIS, 'as-left', 'minimum', { carrierHz: 27_185_000, powerW: 18, supplyA: 8 }),
      row(TALLIS, 'as-left', 'mark', { powerW: 80, supplyV: 14, supplyA: 22 }),
    ]
    expect(advice(TALLIS, ...events)).toMatchObject({ maxW: 80, by: 'as-is' })
    expect(advice(TALLIS, events[0]!)).toBeNull()
  })
  it('is the limit where the carrier was left above it', () => {
    expect(
      advice(
        LX8,
        row(LX8, 'as-left', 'am-D19', { carrierHz: 27_185_000, powerW: 10.5, supplyV: 13.8, supplyA: 2 }),
      ),
    ).toMatchObject({ maxW: 4, by: 'rule', asLeftW: 10.5 })
  })
  it('is a quarter of the PEP where the crest is flattened, not where the depth explains the PEP', () => {
    const at = (pepW: number, carrierW = 3.9) =>
      advice(
        LX8,
        row(LX8, 'as-left', 'am-D19', {
          carrierHz: 27_185_000,
          powerW: carrierW,
          supplyV: 13.8,
          supplyA: 1.7,
        }),
        row(LX8, 'as-left', 'am-tone', {
          depthPositiveRatio: 0.9,
          depthNegativeRatio: 0.9,
          pepW,
          powerW: 5.5,
        }),
      )
    expect(at(14.1)).toMatchObject({ maxW: 3.9, by: 'as-is', headroom: null })
    expect(at(11)).toMatchObject({ maxW: 2.75, by: 'quarter-of-pep' })
    // By hand: 8 W needs 32 W; 18 W are (1 + 0.5)^2 times 8 W.
    expect(at(18, 8)!.headroom).toEqual({ neededW: 32, reachedW: 18, mostDepthRatio: 0.5 })
    // 12.8 W where 13.1 W would be whole: flattened by the readings, not beyond what the meters are off by.
    expect(at(12.8)).toMatchObject({ by: 'quarter-of-pep', headroom: null })
    // Less PEP than carrier is no ceiling but a wrong reading.
    expect(at(7, 8)!.headroom).toBeNull()
  })
  it('is not given from what was found', () =>
    expect(advice(LX8, row(LX8, 'as-found', 'am-D19', { powerW: 3.9 }))).toBeNull())
})

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
      row(FM, phase, 'high-20', { carrierHz: 27_791_255, powerW, supplyV: 13.8, supplyA: 1 })
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

describe('open items', () => {
  const items = (sheet: ModelSheet, ...events: JobEvent[]) =>
    jobState(sheet, ruleSet(sheet.defaultRuleSetId), events).items
  it('of a row that was taken in part name what is missing', () => {
    expect(
      items(FM, row(FM, 'as-found', 'high-20', { carrierHz: 27_791_255, powerW: 3 })).find(
        i => i.id === 'as-found:high-20',
      )!.detail,
    ).toEqual({
      code: 'item.someNotMeasuredBefore',
      values: { list: [{ term: 'Supply' }, { term: 'Supply current' }] },
    })
  })
  it('hold a reading as left that contradicts another, until it is confirmed with a reason', () => {
    const impossible = row(FM, 'as-left', 'high-20', {
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
