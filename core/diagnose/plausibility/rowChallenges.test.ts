import { describe, expect, it } from 'vitest'
import { ALONE } from '../../../test/fixtures/doubts'
import { boundToStandard, type Quantity, type Reading } from '../../quantity'
import { operatingPoint, modelSheet, pointOf, type ModelSheet } from '../../sheet'
import { challenges, sheetContradictions, type RowUnderDoubt } from './index'

const LX8 = modelSheet('larkfield-lx8')
const HB150 = modelSheet('quillon-hb150')
const read = (quantity: Quantity, value: number, rest: Partial<Reading> = {}): Reading => ({
  id: quantity,
  quantity,
  value,
  standardUncertainty: boundToStandard(0),
  source: 'typed',
  instrument: 'Meter',
  ...rest,
})

function rules(sheet: typeof LX8, pointId: string, readings: Reading[], rest: Partial<RowUnderDoubt> = {}) {
  const point = pointOf(sheet, null, pointId)
  return challenges({
    sheet,
    point,
    conditions: { ...operatingPoint(point.state), supplyV: 13.8, load: '', onTimeS: null },
    readings,
    askedOf: () => null,
    ...ALONE,
    ...rest,
  }).map(c => c.rule)
}

/** Examples of the trade table "readings that cannot be true", each with its counterpart that can. */
describe('readings against their meter', () => {
  const scale = (fullScale: number) => ({ meterOf: () => ({ fullScale, tick: null }) })
  it('P09: 2.4 W on a 60 W element is worthless, on a 5 W scale a reading; beyond the scale only a bound is', () => {
    expect(rules(LX8, 'fm-carrier', [read('powerW', 2.4)], scale(60))).toEqual(['P09'])
    expect(rules(LX8, 'fm-carrier', [read('powerW', 2.4)], scale(5))).toEqual([])
    expect(rules(LX8, 'fm-carrier', [read('powerW', 21)], scale(20))).toEqual(['P09'])
    expect(rules(LX8, 'fm-carrier', [read('powerW', 20, { bound: 'at-least' })], scale(20))).toEqual([])
  })
  it('P26: on a set of 25 mA a division 112.5 and 225 mA can be read, and nothing is said of a set unknown', () => {
    const ticks = { meterOf: () => ({ fullScale: null, tick: 0.02 }) }
    const withTick = (tickA: number | null): ModelSheet => ({
      ...HB150,
      procedure: HB150.procedure.map(s => (s.bias ? { ...s, bias: { ...s.bias, tickA } } : s)),
    })
    for (const value of [0.1125, 0.225])
      expect(rules(withTick(0.025), 'idle', [read('stageIdleA', value)], ticks)).toEqual([])
    expect(rules(withTick(0.025), 'idle', [read('stageIdleA', 0.06)], ticks)).toEqual(['P26'])
    expect(rules(withTick(null), 'idle', [read('stageIdleA', 0.064)], ticks)).toEqual([])
  })
  it('P26: 64 mA on a scale of 20 mA a division; 60 and 70 can be read', () => {
    const ticks = { meterOf: () => ({ fullScale: null, tick: 0.02 }) }
    expect(rules(HB150, 'idle', [read('stageIdleA', 0.064)], ticks)).toEqual(['P26'])
    expect(rules(HB150, 'idle', [read('stageIdleA', 0.06)], ticks)).toEqual([])
    expect(rules(HB150, 'idle', [read('stageIdleA', 0.07)], ticks)).toEqual([])
  })
})

describe('readings against the rest of the set', () => {
  it('P13: on LSB a 1 kHz tone stands below the channel: 27.186 is wrong, 27.184 right', () => {
    expect(rules(LX8, 'LSB-tone', [read('carrierHz', 27_186_000)])).toEqual(['P13'])
    expect(rules(LX8, 'LSB-tone', [read('carrierHz', 27_184_000)])).toEqual([])
    expect(rules(LX8, 'USB-tone', [read('carrierHz', 27_186_000)])).toEqual([])
  })
  it('P13: what lies within the bound of the counter is on neither side', () => {
    const near = (offHz: number) => [
      read('carrierHz', 27_185_000 + offHz, { standardUncertainty: boundToStandard(50) }),
    ]
    expect([rules(LX8, 'USB-tone', near(-30)), rules(LX8, 'LSB-tone', near(30))]).toEqual([[], []])
    expect([rules(LX8, 'USB-tone', near(-80)), rules(LX8, 'LSB-tone', near(80))]).toEqual([['P13'], ['P13']])
  })
  it('P21: 15.6 W and 17.2 W, both 100 % of 3.9 W', () => {
    const full = [read('pepW', 17.2), read('depthNegativeRatio', 1)]
    const at = (pepW: number) => ({ carrierW: 3.9, otherFull: [{ title: 'channel 1', pepW }] })
    expect(rules(LX8, 'am-tone', full, at(15.6))).toContain('P21')
    expect(rules(LX8, 'am-tone', full, at(17))).not.toContain('P21')
    // The other one may be the larger.
    expect(rules(LX8, 'am-tone', full, at(19))).toContain('P21')
    expect(
      rules(LX8, 'am-tone', [read('pepW', 13), read('depthNegativeRatio', 0.9)], at(15.6)),
    ).not.toContain('P21')
  })
  it('P22: 175 W of 800 V x 0.24 A', () => {
    expect(rules(HB150, 'band-3', [read('powerW', 175), read('plateA', 0.24)])).toEqual(['P22'])
    expect(rules(HB150, 'band-3', [read('powerW', 120), read('plateA', 0.25)])).toEqual([])
  })
  it('P23: one setting read 3.82, then 3.97 W on the same meter', () => {
    const before = (value: number, instrument = 'Meter') => ({
      earlier: (q: Quantity) => (q === 'powerW' ? read('powerW', value, { instrument }) : null),
    })
    expect(rules(LX8, 'fm-carrier', [read('powerW', 3.97)], before(3.82))).toEqual(['P23'])
    expect(rules(LX8, 'fm-carrier', [read('powerW', 3.87)], before(3.82))).toEqual([])
    expect(rules(LX8, 'fm-carrier', [read('powerW', 3.97)], before(3.82, 'another'))).toEqual([])
  })
  it('P25: 9 W carrier, 20 W PEP, "90 %": at most 49 %', () => {
    expect(rules(LX8, 'am-tone', [read('depthNegativeRatio', 0.9)], { carrierW: 9, pepMostW: 20 })).toEqual([
      'P25',
    ])
    expect(rules(LX8, 'am-tone', [read('depthNegativeRatio', 0.9)], { carrierW: 4, pepMostW: 20 })).toEqual(
      [],
    )
  })
})

describe('P40: digits that were not read', () => {
  const FM = modelSheet('osmund-27f')
  const window = {
    window: { low: 10_239_980, high: 10_240_020, aim: 10_240_000 },
    nominalHz: 10_240_000,
    limit: null,
  }
  it('10.239 MHz is known to 500 Hz, and nothing is judged by it; 10.239780 is a reading', () => {
    expect(
      rules(
        FM,
        'reference',
        [read('referenceHz', 10_239_000, { standardUncertainty: boundToStandard(500) })],
        { askedOf: () => window },
      ),
    ).toEqual(['P40'])
    expect(
      rules(FM, 'reference', [read('referenceHz', 10_239_780, { standardUncertainty: boundToStandard(1) })], {
        askedOf: () => window,
      }),
    ).toEqual([])
  })
})

describe('sheets that contradict themselves', () => {
  it('P29: one name on two parts, the name of a preset on a trimmer', () => {
    const [trimmer, preset] = [
      LX8.adjusters.find(a => a.kind === 'trimmer')!,
      LX8.adjusters.find(a => a.kind === 'preset')!,
    ]
    expect(
      sheetContradictions([
        { ...preset, designator: 'RV1' },
        { ...trimmer, designator: 'RV1' },
      ]),
    ).toEqual([
      { rule: 'P29', kind: 'twice', designator: 'RV1' },
      { rule: 'P29', kind: 'wrong-name', designator: 'RV1', adjuster: 'trimmer' },
    ])
    expect(sheetContradictions(LX8.adjusters)).toEqual([])
  })
})

describe('the bench as it is', () => {
  it('nothing on the meter is no crash, and contradicts nothing', () => {
    const full = { carrierW: 3.9, otherFull: [{ title: 'channel 1', pepW: 0 }] }
    expect(() => rules(LX8, 'am-tone', [read('pepW', 0), read('depthNegativeRatio', 1)], full)).not.toThrow()
    expect(rules(LX8, 'am-tone', [read('pepW', 14), read('depthNegativeRatio', 1)], full)).not.toContain(
      'P21',
    )
  })
  it('P23: a needle is read to a share of its scale, and two scales are not held against each other', () => {
    const onScale = (value: number, fullScale: number) => read('powerW', value, { fullScale })
    const after = (earlier: Reading, now: Reading) =>
      rules(LX8, 'fm-carrier', [now], { earlier: () => earlier })
    expect(after(onScale(3.5, 60), onScale(3.36, 5))).toEqual([])
    expect(after(onScale(3.5, 20), onScale(3.36, 20))).toEqual([])
    expect(after(onScale(3.9, 20), onScale(3.36, 20))).toEqual(['P23'])
  })
  it('P23: a display of tenths may change by one digit, which is 3 % of 3 W; two digits moved', () => {
    const before = (value: number) => ({
      earlier: (q: Quantity) => (q === 'powerW' ? read('powerW', value) : null),
    })
    expect(rules(LX8, 'fm-carrier', [read('powerW', 3.1)], before(3))).toEqual([])
    expect(rules(LX8, 'fm-carrier', [read('powerW', 3.2)], before(3))).toEqual(['P23'])
  })
  it('P25: a carrier that is known to a watt leaves as much headroom as it may have', () => {
    expect(
      rules(LX8, 'am-tone', [read('depthNegativeRatio', 0.9)], {
        carrierW: 6,
        carrierBoundW: 1,
        pepMostW: 20,
      }),
    ).toEqual([])
    expect(
      rules(LX8, 'am-tone', [read('depthNegativeRatio', 0.9)], {
        carrierW: 6,
        carrierBoundW: 0.1,
        pepMostW: 20,
      }),
    ).toEqual(['P25'])
  })
})
