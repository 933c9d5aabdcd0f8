import { describe, expect, it } from 'vitest'
import type { RigState } from '../index'
import {
  dB,
  does,
  healthy,
  faulty,
  at,
  look,
  value,
  TONE,
  TWO,
  D19,
} from '../../../test/fixtures/faults/simulatedSet'

/**
 * One test per symptom of the table of faults (bench facts 7.8, invented sets, computed from the formulas
 * where one applies).
 */
describe('X07, X08 limiter and modulation preset', () => {
  const four = (s: RigState) =>
    does(s, at('RV4', Math.sqrt(4 / value(does(s, at('RV4', 0.43)), { keyed: true }, 'powerW')) * 0.43))
  const s = four(faulty('X07'))
  const toned = look(s, { keyed: true, tones: TONE })
  it('(a) crest 125 %, PEP 20.3 W, unclipped', () => {
    expect(toned.values.depthPositiveRatio).toBeCloseTo(1.25, 1.5)
    expect(toned.values.pepW).toBeCloseTo(20.25, 0)
  })
  it('(b) pinched 20.5 % of the time', () => {
    const m = toned.emission.kind === 'am' ? toned.emission.tones[0]!.level : 0
    expect(Math.acos(1 / m) / Math.PI).toBeCloseTo(0.205, 2)
    expect(toned.values.depthNegativeRatio).toBe(1)
  })
  it('(c) -6 dB of audio makes about 63 %', () =>
    expect(
      value(s, { keyed: true, tones: [[1000, 0.03 * 10 ** (-6 / 20)]] }, 'depthPositiveRatio'),
    ).toBeCloseTo(0.627, 2))
  it('(d) the neighbour about 31 dB under the carrier line with 2.5 kHz', () =>
    expect(Math.abs(value(s, { keyed: true, tones: [[2500, 0.03]] }, 'adjacentDbc') + 30.8)).toBeLessThan(
      0.5,
    ))
  const stuck = faulty('X08')
  const depth = (v: number) => value(stuck, { keyed: true, tones: [[1000, v]] }, 'depthPositiveRatio')
  it('X08 (a) 120 to 140 %, and hardly moves over 10 dB', () => {
    for (const v of [0.03, 0.053, 0.095]) expect(depth(v)).toBeGreaterThan(1.2)
    expect(depth(0.095)).toBeLessThan(1.4)
    expect(depth(0.095) - depth(0.03)).toBeLessThan(0.05)
  })
  it('X08 (b) the microphone gain does not help', () =>
    expect(
      value(
        does(stuck, { kind: 'control', controls: { micGain: 0.5 } }),
        { keyed: true, tones: [[1000, 0.06]] },
        'depthPositiveRatio',
      ),
    ).toBeGreaterThan(1.2))
})

describe('X14, X15 deviation', () => {
  const s = faulty('X14')
  const deviation = (state: RigState, p: number) =>
    value(does(state, at('RV2', p)), { keyed: true, tones: [[1000, 0.1]] }, 'deviationPositiveHz')
  const sweep = Array.from({ length: 60 }, (_, i) => 0.5 + i * (1.9 / 270))
  const jumps = (state: RigState) =>
    sweep.slice(1).map((p, i) => Math.abs(deviation(state, p) - deviation(state, sweep[i]!)))
  it('X14 (a) jumps by more than 0.3 kHz within two degrees', () =>
    expect(Math.max(...jumps(s))).toBeGreaterThan(300))
  it('X14 (b) cleaned it is monotone', () => {
    const clean = does(s, { kind: 'clean', designator: 'RV2' })
    expect(Math.max(...jumps(clean))).toBeLessThan(60)
    sweep
      .slice(1)
      .forEach((p, i) => expect(deviation(clean, p)).toBeGreaterThan(deviation(clean, sweep[i]!) - 5))
  })
  const weak = faulty('X15')
  const spoken = (state: RigState, whistle: boolean, other = false) =>
    value(
      does(state, { kind: 'stimulus', stimulus: { whistle, otherMicrophone: other } }),
      { keyed: true, tones: [[1000, 0.1]] },
      'deviationPositiveHz',
    )
  it('X15 (a) the tone is right', () =>
    expect(spoken(weak, false)).toBeCloseTo(spoken(healthy('osmund-27f'), false), -1))
  it('X15 (b) the whistle gives less than half', () =>
    expect(spoken(weak, true)).toBeLessThan(spoken(healthy('osmund-27f'), true) / 2))
  it('X15 (c) another microphone cures it', () =>
    expect(spoken(weak, true, true)).toBeCloseTo(spoken(healthy('osmund-27f'), true), -1))
})

describe('X28, X29 supply and headroom', () => {
  it('X28 (a) unregulated -1.2 dB, a regulated carrier hardly', () => {
    const fm = healthy('osmund-27f')
    const lx = does(healthy('larkfield-lx8'), at('VR12', 1))
    expect(
      dB(value(fm, { keyed: true, supplyV: 12 }, 'powerW') / value(fm, { keyed: true }, 'powerW')),
    ).toBeCloseTo(-1.21, 1)
    expect(
      dB(
        value(lx, { mode: 'USB', keyed: true, tones: TONE, supplyV: 12 }, 'pepW') /
          value(lx, { mode: 'USB', keyed: true, tones: TONE }, 'pepW'),
      ),
    ).toBeCloseTo(-1.21, 0.7)
    expect(
      Math.abs(
        dB(
          value(lx, { mode: 'AM', keyed: true, supplyV: 12 }, 'powerW') /
            value(lx, { mode: 'AM', keyed: true }, 'powerW'),
        ),
      ),
    ).toBeLessThan(0.1)
  })
  it('X28 (b) headroom falls with it', () => {
    const s = does(healthy('osmund-40a'), at('RV5', 1))
    expect(value(s, { keyed: true, tones: TONE, supplyV: 10.5 }, 'pepW')).toBeLessThan(
      value(s, { keyed: true, tones: TONE }, 'pepW') - 2,
    )
  })
  it('X29 a carrier of 10 W on 20 W PEP leaves 41 %', () => {
    const s = faulty('X29')
    expect(value(s, { mode: 'AM', keyed: true }, 'powerW')).toBeCloseTo(10, 0)
    expect(value(s, { mode: 'AM', keyed: true, tones: TONE }, 'depthPositiveRatio')).toBeCloseTo(0.414, 1.5)
    expect(Math.abs(dB(value(s, { mode: 'USB', keyed: true, tones: TONE }, 'pepW') / 20))).toBeLessThan(0.3)
  })
})

describe('X31 carrier leak', () => {
  // 8 W keep the stage in its straight part, so that the leak alone shows.
  const s = does(faulty('X31'), at('VR12', 0.4))
  const t = look(s, { mode: 'USB', channel: D19, keyed: true, tones: TWO })
  it('(a) carrier 20 dB below PEP', () =>
    expect(value(s, { mode: 'USB', channel: D19, keyed: true }, 'carrierLeakDb')).toBeCloseTo(20, 0))
  it('(b) PEP over average 2.37 instead of 2.00', () => {
    expect(t.values.pepW! / t.values.powerW!).toBeCloseTo(2.37, 1)
    expect(
      value(does(s, at('VR6', 0.52)), { mode: 'USB', channel: D19, keyed: true, tones: TWO }, 'pepW') /
        value(does(s, at('VR6', 0.52)), { mode: 'USB', channel: D19, keyed: true, tones: TWO }, 'powerW'),
    ).toBeCloseTo(2, 1)
  })
})

describe('X32 dried-out capacitors', () => {
  const s = faulty('X32')
  it('(a) residual FM over 100 Hz', () =>
    expect(value(s, { keyed: true }, 'deviationPositiveHz')).toBeGreaterThan(100))
  it('(b) low frequencies missing', () => {
    const at1 = (state: RigState, hz: number) =>
      value(state, { keyed: true, tones: [[hz, 0.005]] }, 'deviationPositiveHz') -
      value(state, { keyed: true }, 'deviationPositiveHz')
    expect(2 * dB(at1(s, 300) / at1(s, 2500))).toBeLessThan(-6)
    expect(2 * dB(at1(healthy('osmund-27f'), 300) / at1(healthy('osmund-27f'), 2500))).toBeGreaterThan(-1)
  })
})
