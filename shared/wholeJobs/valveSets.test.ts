import { describe, expect, it } from 'vitest'
import { told } from '../../test/fixtures/wholeJob/told'
import { claim, job, writer } from '../../test/fixtures/wholeJob/wholeJob'
import {
  NEW_GUIDE,
  guided,
  isReadable,
  keyDownTotals,
  peakKey,
  peakLevel,
  peakQuantities,
  ticksToAmperes,
  panelTickA,
  type JobEvent,
} from '#core/run'
import { modelSheet, stepOf, type MeasurePoint, type ModelSheet } from '#core/sheet'
import { point, statesIn, want, within } from '#core/sheet/build'

const HB = modelSheet('quillon-hb150')
const [cw, am, usb] = [statesIn('CW'), statesIn('AM'), statesIn('USB')]
const FORTY = 2

/** A set of this kind with its own figures, as its workshop would write it down. */
function valveSheet(
  model: string,
  plateV: number,
  tickA: number,
  matrix: readonly MeasurePoint[],
): ModelSheet {
  const procedure = HB.procedure.map(s => (s.bias ? { ...s, bias: { ...s.bias, tickA } } : s))
  return { ...HB, id: model.toLowerCase().replace(' ', '-'), model, plateV, matrix, procedure }
}

describe('2: an operator\u2019s tune-up straight into an antenna', () => {
  const TUNE = within(90, 140, 120)
  const HB140 = valveSheet('Quillon HB-140', 800, 0.025, [
    point('idle', 'Idle current', usb.keyed(FORTY, { setting: 'no drive' }), [
      want('stageIdleA', within(0.0375, 0.0625, 0.05)),
    ]),
    point('antenna', '40 m, full carrier, antenna', cw.keyed(FORTY, { setting: 'meter behind the tuner' }), [
      want('powerW', TUNE),
      want('plateA'),
      want('swr'),
    ]),
    point(
      'load',
      '40 m, full carrier, dummy load',
      cw.keyed(FORTY, { setting: 'tuned: preselector, plate dip, load' }),
      [want('powerW', TUNE), want('plateA')],
    ),
    point('am-carrier', 'AM carrier, 40 m', am.keyed(FORTY, { setting: 'carrier at the AM mark' }), [
      want('powerW', within(20, 30, 25)),
      want('plateA', within(null, 0.175)),
    ]),
  ])
  const w = writer(HB140)
  const HALF_TICK_A = 0.0125
  const claims = [claim({ quantity: 'powerW', value: 180, mode: 'CW' })]
  const events = [
    w.found('idle', { stageIdleA: [ticksToAmperes('2 ticks', panelTickA(HB140)!)!, HALF_TICK_A] }),
    w.found('antenna', { powerW: [176, 10], plateA: [0.225, HALF_TICK_A], swr: [1.1, 0.1] }),
    w.found('load', { powerW: [118, 10], plateA: [0.225, HALF_TICK_A] }),
    w.left('load', { powerW: [118, 10], plateA: [0.225, HALF_TICK_A] }),
    w.left('am-carrier', { powerW: [24, 3], plateA: [0.1125, HALF_TICK_A] }),
  ]
  const t = told(job(HB140, 'R-AM', claims, events))
  it('says: two ticks of 25 mA are 50 mA; half a tick cannot be read finer than the window', () => {
    expect(t.state.asFound.find(r => r.point.id === 'idle')!.cells[0]!.latest!.reading.value).toBeCloseTo(
      0.05,
      9,
    )
    expect(t.verdict('as-found', 'idle', 'stageIdleA')).not.toMatch(/above|below/)
  })
  it('says: 176 W of 800 V x 225 mA is impossible; 118 W is plausible', () => {
    expect(t.challenges.filter(c => c.rule === 'P22').map(c => c.pointId)).toEqual(['antenna'])
    expect(t.challenges.find(c => c.rule === 'P22')!.words).toMatch(
      /176\.?0? W out of at most 190 W.*Range, SWR/,
    )
  })
  it('says: the claim of 180 W is not confirmed, by the reading on the load', () => {
    expect(t.claims[0]).toMatchObject({ outcome: 'refuted', measured: { value: 118 } })
  })
  it('says: AM carrier 24 W by the AM row, 118 W is never its advice', () => {
    expect(t.paper.join('\n')).toMatch(/AM: carrier 24(\.0)? W max/)
    expect(t.all).not.toMatch(/AM: (leave the )?carrier[^\n]*118/)
  })
  it(
    'must not say: valves weak, idle to be adjusted, 118 W a ' +
      'loss against 176 W; the receiver is not spoken of',
    () => {
      expect(t.all).not.toMatch(/valves? (is |are )?(weak|worn)|loss|instead of 176|sensitivity/i)
      expect(t.paper.join('\n')).toContain('No adjustment is on record')
    },
  )
  it('says: the caution of the anode voltage', () =>
    expect(t.paper.join('\n')).toMatch(/800 V inside, lethal/))
})

describe('9: loading a hybrid valve set', () => {
  const HB120 = valveSheet('Quillon HB-120', 750, 0.02, [
    point('half', '40 m, half carrier', cw.keyed(FORTY, { setting: 'half carrier' }), [
      want('powerW'),
      want('plateA'),
    ]),
    point('full', '40 m, full carrier', cw.keyed(FORTY, { setting: 'tuned: preselector, plate dip, load' }), [
      want('powerW', within(100, 140, 120)),
      want('plateA', within(0.2, 0.28, 0.25)),
    ]),
  ])
  const w = writer(HB120)
  const [HALF_TICK_A, METER_W] = [0.01, 10]
  const keyed = (lengthS: number, stepId: string): JobEvent => ({
    id: `90000000-0000-4000-9000-${String(lengthS).padStart(12, '0')}`,
    atMs: 1_795_000_000_000 + lengthS * 1000,
    kind: 'keyed',
    stepId,
    lengthS,
  })
  const events = [
    w.found('half', { powerW: [95, METER_W], plateA: [0.2, HALF_TICK_A] }),
    w.turned('LOAD', 'PLATE'),
    w.step('A6.3', 'dip', { plateA: [0.14, HALF_TICK_A] }),
    w.left('half', { powerW: [118, METER_W], plateA: [0.24, HALF_TICK_A] }),
    w.left('full', { powerW: [124, METER_W], plateA: [0.26, HALF_TICK_A] }),
    keyed(11, 'A6.7'),
  ]
  const t = told(
    job(HB120, 'R-AM', [claim({ quantity: 'powerW', kind: 'under', value: 90, mode: 'CW' })], events),
  )
  it('says: 80 mA are 4 ticks of 20 mA', () =>
    expect(ticksToAmperes('4 ticks', panelTickA(HB120)!)).toBeCloseTo(0.08, 9))
  it('says: largest plate current for the preselector, smallest for the plate: the guide does not mix them', () => {
    const choices = peakQuantities(stepOf(HB120, 'A6.3'), q => q === 'plateA')
    expect(choices.map(peakKey)).toEqual(['plateA smallest', 'plateA largest'])
    const best = (c: (typeof choices)[number]) =>
      [0.21, 0.18, 0.14, 0.17]
        .map(a => ({ a, level: peakLevel(c, a) }))
        .reduce((x, y) => (y.level > x.level ? y : x)).a
    expect(choices.map(best)).toEqual([0.14, 0.21])
  })
  it('must not say: any best value while it is not keyed', () => {
    const state = stepOf(HB120, 'A6.3').points[0]!.state
    expect(isReadable('plateA', state, { rfW: 0, keyedBy: null })).toBe(false)
    expect(
      guided(
        NEW_GUIDE,
        0,
        peakLevel({ quantity: 'plateA', scale: 'current', seek: 'smallest', receiver: false }, 0.1),
      ).looks,
    ).toHaveLength(0)
  })
  it('says: 118 W of 180 W is 66 %, 124 W of 195 W 64 %: below the bound', () =>
    expect(t.challenges).toEqual([]))
  it('says: 95 to 118 W is a change beyond the meter, 118 to 124 W is not shown as one', () => {
    expect(
      t.state.compared.find(c => c.point.id === 'half' && c.want.quantity === 'powerW')!.before.latest!
        .reading.value,
    ).toBe(95)
    expect(t.all).not.toMatch(/improve/i)
  })
  it('says: 11 s keyed stand in the record', () => expect(keyDownTotals(events).totalS).toBe(11))
  it('must not say: valves weak; her meter wrong: none of hers was compared', () => {
    expect(t.all).not.toMatch(/valves? (is |are )?(weak|worn)|probably in the owner.s meter/i)
    expect(t.claims[0]!.meterFactor).toBeNull()
  })
  it('must not say: idle current inside; it was not measured', () =>
    expect(t.paper.join('\n')).not.toMatch(/idle current[^\n]*, within|within tolerance:[^\n]*idle/i))
})

describe('12: dummy load first, antenna second', () => {
  const rows = (
    [
      [2, 40, 90, 100],
      [3, 20, 90, 100],
      [5, 10, 72, 90],
    ] as const
  ).map(([channel, metres, low, high]) =>
    point(
      `load-${metres}`,
      `${metres} m, full level, dummy load`,
      cw.keyed(channel, { setting: 'tuned: preselector, plate dip, load' }),
      [want('powerW', within(low, high, (low + high) / 2)), want('plateA')],
    ),
  )
  const R100 = valveSheet('Veldmark R100', 800, 0.02, [
    ...rows,
    point('antenna-20', '20 m, reduced level, antenna', cw.keyed(3, { setting: 'level at 1 o\u2019clock' }), [
      want('swr'),
      want('powerW'),
    ]),
  ])
  const w = writer(R100)
  const claims = [
    claim({ quantity: 'powerW', kind: 'under', value: 1, mode: 'CW', channel: 2 }),
    claim({ id: '2', quantity: 'swr', value: 1 }),
  ]
  it('says: no output: is the level up? A control left down and a wrong switch come before a valve', () => {
    const t = told(job(R100, 'R-AM', claims, [w.found('load-40', { powerW: [7.5, 0.4, 'at-most'] })]))
    expect(t.causes('power')[0]).not.toBe('worn-valves')
    expect(t.claims[0]!.outcome).not.toBe('refuted')
    expect(t.all).not.toMatch(/valves? (is |are )?weak/i)
  })
  const events = [
    w.found('load-40', { powerW: [92, 7.5], plateA: [0.2, 0.01] }),
    w.found('load-20', { powerW: [96, 7.5] }),
    w.found('load-10', { powerW: [78, 7.5] }),
    w.found('antenna-20', { swr: [1.2, 0.1], powerW: [94, 9.4] }),
  ]
  const t = told(job(R100, 'R-AM', claims, events))
  it('says: 92 W on a 150 W scale of 5 % does not break 90 to 100 W; the claim of no output is refuted', () => {
    expect(t.verdict('as-found', 'load-40', 'powerW')).not.toMatch(/above|below/)
    expect(t.claims[0]!.outcome).toBe('refuted')
  })
  it('says: 78 W on 10 m is inside what is rated there, or cannot tell: no fault', () =>
    expect(t.verdict('as-found', 'load-10', 'powerW')).not.toMatch(/above|below/))
  it('says: SWR 1.2 is a quantity of its own, and never below 1', () => {
    expect(t.claims[1]).toMatchObject({ measured: { value: 1.2 } })
    expect(t.all).not.toMatch(/SWR 0/)
  })
  it('must not say: the 40 m card is complete with an antenna, 76 W a fault', () => {
    expect(t.challenges).toEqual([])
    expect(t.all).not.toMatch(/40 m[^\n]*antenna[^\n]*within/)
  })
})
