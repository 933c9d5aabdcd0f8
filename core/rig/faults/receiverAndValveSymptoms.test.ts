import { describe, expect, it } from 'vitest'
import { advance, truthOf, type RigState } from '../index'
import { dB, does, healthy, faulty, at, look, value } from '../../../test/fixtures/faults/simulatedSet'

/**
 * One test per symptom of the table of faults (bench facts 7.8, invented sets, computed from the formulas
 * where one applies).
 */
describe('X17 to X19, X30 valves and meters', () => {
  const tuned = (s: RigState) => does(s, at('CARRIER', 1))
  const cw = (s: RigState) => look(tuned(s), { mode: 'CW', channel: 3, keyed: true })
  const h = cw(healthy('quillon-hb150'))
  const worn = faulty('X17')
  it('X17 (a) a quarter to a third', () => {
    const share = cw(worn).values.powerW! / 120
    expect(share).toBeGreaterThan(0.25)
    expect(share).toBeLessThan(1 / 3)
  })
  it('X17 (b) idle falls or is normal', () =>
    expect(value(worn, { mode: 'USB', keyed: true, driveOff: true }, 'stageIdleA')).toBeLessThanOrEqual(0.06))
  it('X17 (c) it dips as ever', () => {
    const plate = (p: number) =>
      value(does(tuned(worn), at('PLATE', p)), { mode: 'CW', keyed: true }, 'plateA')
    expect(plate(0.5)).toBeLessThan(plate(0.2))
    expect(plate(0.5)).toBeLessThan(plate(0.8))
  })
  it('X17 (d) a new pair brings 4 dB or more', () =>
    expect(
      dB(cw(does(worn, { kind: 'replace', group: 'valves' })).values.powerW! / cw(worn).values.powerW!),
    ).toBeGreaterThan(4))
  const panel = faulty('X18')
  it('X18 (a) panel -50 % at all levels, (b) plate current right', () => {
    for (const level of [1, 0.6]) {
      const at2 = (s: RigState) =>
        look(does(s, at('CARRIER', level)), { mode: 'CW', channel: 3, keyed: true }).values
      expect(at2(panel).panelPowerW! / at2(healthy('quillon-hb150')).panelPowerW!).toBeCloseTo(0.5, 2)
      expect(at2(panel).powerW! / at2(healthy('quillon-hb150')).powerW!).toBeCloseTo(1, 2)
    }
    expect(cw(panel).values.plateA).toBeCloseTo(h.values.plateA!, 3)
  })
  it('X19 (a) panel and external meter low alike', () => {
    const low = look(faulty('X19'), { keyed: true }).values
    const right = look(healthy('osmund-40a'), { keyed: true }).values
    expect(low.powerW! / right.powerW!).toBeLessThan(0.75)
    expect(low.panelPowerW! / right.panelPowerW!).toBeCloseTo(low.powerW! / right.powerW!, 1)
  })
  it('X30 (a) the high voltage stays', () => {
    const off = (s: RigState) =>
      truthOf(advance(does(s, { kind: 'control', controls: { powerOn: false } }), 60)).testPoints[
        'plate supply'
      ]!.value!
    expect(off(faulty('X30'))).toBeGreaterThan(700)
    expect(off(healthy('quillon-hb150'))).toBeLessThan(30)
  })
})

describe('X21 deaf receiver', () => {
  const s = faulty('X21', 'osmund-27f')
  const h = healthy('osmund-27f')
  it('(a) threshold and 12 dB SINAD ten times up', () =>
    (['audibleV', 'sensitivityV'] as const).forEach(q =>
      expect(value(s, {}, q) / value(h, {}, q)).toBeCloseTo(10, 1),
    ))
  it('(b) 100 uV reads S9 less 20 dB', () =>
    expect(value(faulty('X21', 'osmund-40a'), { inputV: 100e-6 }, 'sMeter')).toBeCloseTo(9 - 20 / 6, 1))
  it('(c) SINAD still falls 1 dB per dB', () =>
    expect(
      value(faulty('X21', 'osmund-40a'), { inputV: 10e-6 }, 'sinadDb') -
        value(faulty('X21', 'osmund-40a'), { inputV: 10e-6 * 10 ** -0.05 }, 'sinadDb'),
    ).toBeCloseTo(1, 0.7))
})
