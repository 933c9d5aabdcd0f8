import { describe, expect, it } from 'vitest'
import { boundToStandard, type Quantity } from '../../quantity'
import { requirementOf, type RowConditions } from '../../run'
import { ruleSet } from '../../rules'
import { pointOf } from '../../sheet'
import { OSMUND_27F } from '../../sheet/osmund27f/sheet'
import { ALONE } from '../../../test/fixtures/doubts'
import { challenges, minSensitivityV, plausibleForms, type RowUnderDoubt } from './index'

const CONDITIONS: RowConditions = {
  mode: 'FM',
  channel: 20,
  lowPower: false,
  toneHz: null,
  toneV: null,
  inputV: null,
  coverage: 'standard',
  setting: '',
  supplyV: 13.8,
  load: '',
  onTimeS: null,
}

function rulesOf(
  pointId: string,
  values: Partial<Record<Quantity, number>>,
  conditions: Partial<RowConditions> = {},
  bound = 0,
  more: Partial<RowUnderDoubt> = {},
) {
  const point = pointOf(OSMUND_27F, null, pointId)
  const readings = Object.entries(values).map(([quantity, value], i) => ({
    id: String(i),
    quantity: quantity as Quantity,
    value,
    standardUncertainty: boundToStandard(bound),
    source: 'typed' as const,
    instrument: null,
  }))
  const askedOf = (quantity: Quantity) => {
    const want = point.wants.find(w => w.quantity === quantity)
    return want ? requirementOf(OSMUND_27F, ruleSet('R-UK27'), want, point.state) : null
  }
  return challenges({
    sheet: OSMUND_27F,
    point,
    conditions: { ...CONDITIONS, ...conditions },
    readings,
    askedOf,
    ...ALONE,
    ...more,
  })
}
const names = (...args: Parameters<typeof rulesOf>) => rulesOf(...args).map(c => c.rule)

describe('healthy rows', () => {
  it('are not challenged', () => {
    expect(names('high-20', { powerW: 3.9, carrierHz: 27_791_262, supplyV: 13.8, supplyA: 1.05 })).toEqual([])
    expect(names('reference', { referenceHz: 10_239_590 }, { channel: null })).toEqual([])
    expect(
      names('tone-20', { deviationPositiveHz: 2400, deviationNegativeHz: 2350 }, { toneHz: 1000 }),
    ).toEqual([])
    expect(names('receiver', { sensitivityV: 0.35e-6 })).toEqual([])
  })
})

// Rows of the trade table "readings that cannot be true"; the values are its invented examples where they fit
// this set.
describe('P04, order of powers', () => {
  it('mean above PEP', () =>
    expect(names('high-20', { powerW: 9, pepW: 8.2 }, { supplyV: null })).toContain('P04'))
  it('not within the uncertainty', () =>
    expect(names('high-20', { powerW: 3.95, pepW: 3.9 }, {}, 0.1)).not.toContain('P04'))
})
describe('P06, more power than the supply gives', () => {
  // 13.8 V x 0.3 A = 4.14 W of DC; 3.9 W of RF would be 94 %. At 1.05 A it is 27 %.
  it('challenged', () =>
    expect(rulesOf('high-20', { powerW: 3.9, supplyA: 0.3 })[0]).toMatchObject({
      rule: 'P06',
      maxRatio: 0.85,
      isUnusual: false,
    }))
  // 13.8 V x 0.42 A = 5.8 W: 4.3 W are 74 %, a class E stage in a set that draws next to nothing, or a meter
  // that reads high.
  it('between what is usual and what can be it is said, not refused', () =>
    expect(rulesOf('high-20', { powerW: 4.3, supplyA: 0.42 })[0]).toMatchObject({
      rule: 'P06',
      isUnusual: true,
    }))
  it('uses the voltage of the row itself, and is silent without one', () => {
    expect(names('high-20', { powerW: 3.9, supplyA: 0.42, supplyV: 13.8 })).toEqual([])
    expect(names('high-20', { powerW: 3.9, supplyA: 0.42, supplyV: 12 })).toEqual(['P06'])
    expect(names('high-20', { powerW: 3.9, supplyA: 0.3 }, { supplyV: null })).toEqual([])
  })
})
describe('P10, wrong scale', () => {
  it('is not suspected where another row\u2019s supply current says that such a power is real', () => {
    expect(rulesOf('high-20', { powerW: 20 }).map(c => c.rule)).toEqual(['P10'])
    expect(rulesOf('high-20', { powerW: 20 }, {}, 0, { provenW: 21 })).toEqual([])
    expect(rulesOf('high-20', { powerW: 40 }, {}, 0, { provenW: 21 }).map(c => c.rule)).toEqual(['P10'])
  })
  it('40 W from a 4 W set is ten times 4 W', () =>
    expect(rulesOf('high-20', { powerW: 40 })).toMatchObject([{ rule: 'P10', factor: 10, likelyW: 4 }]))
  it('6 W from a 4 W set is too much, but no scale', () =>
    expect(names('high-20', { powerW: 6 })).toEqual([]))
})
describe('P11, digits', () => {
  it('10.4201 for 10.2401: exchanged', () => {
    expect(plausibleForms(10_420_100)).toContain(10_240_100)
    expect(rulesOf('reference', { referenceHz: 10_420_100 }, { channel: null })).toMatchObject([
      { rule: 'P11', likelyHz: [10_240_100] },
    ])
  })
  it('a point one place off', () =>
    expect(rulesOf('high-20', { carrierHz: 2_779_126 })).toMatchObject([
      { rule: 'P11', likelyHz: [27_791_260] },
    ]))
  it('beyond anything: says so without a guess', () =>
    expect(rulesOf('high-20', { carrierHz: 145_000_000 })).toMatchObject([{ rule: 'P11', likelyHz: [] }]))
  it('200 ppm of the reference is the edge', () => {
    expect(names('reference', { referenceHz: 10.24e6 * (1 + 199e-6) }, { channel: null })).toEqual([])
    expect(names('reference', { referenceHz: 10.24e6 * (1 + 201e-6) }, { channel: null })).toEqual(['P11'])
  })
})
describe('P12, nominal of another plan', () => {
  it('channel 20 read as 27.205: that is the other plan', () =>
    expect(rulesOf('high-20', { carrierHz: 27_205_000 })).toMatchObject([
      { rule: 'P12', channel: 20, nominalHz: 27_791_250 },
    ]))
})
describe('P42, another channel of the set', () => {
  it.each([
    [27_801_260, '21'],
    [27_801_250 + 900, '21'],
    [27_601_250, '1'],
  ])('%d Hz in the row of channel 20', (carrierHz, channelName) =>
    expect(rulesOf('high-20', { carrierHz })).toMatchObject([
      { rule: 'P42', channelName, rowChannelName: '20' },
    ]),
  )
  it('is not what lies between two channels: that is a digit', () =>
    expect(names('high-20', { carrierHz: 27_806_000 })).toEqual(['P11']))
})
describe('P33, better than physics', () => {
  // Thermal limit from kTB by hand: -173.98 dBm/Hz, 2.4 kHz: -140.17 dBm; 12 dB SINAD needs 11.7 dB S/N:
  // -128.5 dBm = 0.085 uV.
  it('limit', () => expect(minSensitivityV() * 1e6).toBeCloseTo(0.0845, 3))
  it('0.03 uV cannot be', () => expect(names('receiver', { sensitivityV: 0.03e-6 })).toEqual(['P33']))
})
describe('P37, deviation without a tone', () => {
  it('0.2 kHz is hum', () =>
    expect(names('tone-20', { deviationPositiveHz: 200 }, { toneHz: null })).toEqual(['P37']))
  it('40 Hz is noise', () =>
    expect(names('tone-20', { deviationPositiveHz: 40 }, { toneHz: null })).toEqual([]))
})
