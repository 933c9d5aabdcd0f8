import { describe, expect, it } from 'vitest'
import { bandChannel } from '../../rules'
import { act, advance, healthyRig, truthOf, type RigState } from '../index'
import { rigFault } from './index'
import {
  does,
  healthy,
  faulty,
  at,
  look,
  value,
  offHz,
  TONE,
  D19,
} from '../../../test/fixtures/faults/simulatedSet'

/**
 * One test per symptom of the table of faults (bench facts 7.8, invented sets, computed from the formulas
 * where one applies).
 */
describe('X01 reference hidden behind the transmit trimmer', () => {
  const s = faulty('X01')
  it('(a) the pin shows it', () => expect(value(s, {}, 'referenceHz')).toBeCloseTo(10_239_590.4, -0.5))
  it('(b) channel 20 looks right', () => expect(Math.abs(offHz(s, 20))).toBeLessThan(10))
  it('(c) the ends of the band do not', () => {
    expect(offHz(s, 1) - offHz(s, 20)).toBeCloseTo(7.6, -0.3)
    expect(offHz(s, 40) - offHz(s, 20)).toBeCloseTo(-8, -0.3)
  })
  it('(d) second IF +478 Hz', () => expect(look(s, {}).secondIfHz - 455_000).toBeCloseTo(477.6, -1))
  it('(e) the reference to nominal makes TX +68 Hz', () =>
    expect(offHz(does(s, at('CT1', healthy('osmund-27f').positions.CT1!)), 20) - offHz(s, 20)).toBeCloseTo(
      68,
      -0.3,
    ))
})

describe('X02 aged transmit crystal', () => {
  const s = faulty('X02')
  it('(a) the trimmer stops with 20 ppm gained', () => {
    const stop = does(s, at('CT2', -1))
    expect(stop.positions.CT2).toBe(0)
    expect(offHz(stop, 20) / (2 * 13.045625) + 35).toBeCloseTo(20, 0)
  })
  it('(b) -391 Hz on every channel', () =>
    [1, 20, 40].forEach(c => expect(Math.abs(offHz(s, c) + 391)).toBeLessThan(2)))
  it('(c) the reference is right', () =>
    expect(Math.abs(value(s, {}, 'referenceHz') / 10.24e6 - 1)).toBeLessThan(1e-6))
})

describe('X03 fixed capacitor for the trimmer', () => {
  const s = faulty('X03')
  it.each([
    [1, -296.6],
    [19, -299],
    [40, -301.5],
  ])('(a) channel %d %d Hz', (c, hz) => expect(offHz(s, c)).toBeCloseTo(hz, -0.3))
  it('(b) no adjuster acts', () =>
    expect(offHz(does(s, at('C31', 0)), 19)).toBeCloseTo(offHz(does(s, at('C31', 1)), 19), -0.3))
  it('(c) second IF +294 Hz', () => expect(look(s, {}).secondIfHz - 455_000).toBeCloseTo(294, 0))
  it('a fitted trimmer reaches it', () => {
    const fitted = does(s, { kind: 'fit-trimmer' })
    expect(offHz(does(fitted, at('C31', 0)), 19)).toBeGreaterThan(0)
  })
})

describe('X20 VCO at its edge', () => {
  const s = faulty('X20')
  it('(a) within 0.3 V of the rail at one end', () =>
    expect(value(s, { channel: 40 }, 'vcoV')).toBeGreaterThan(8 - 0.3))
  it('(b) there it locks in 2 to 5 s or not at all', () => {
    const moved = does(advance(does(s, { kind: 'control', controls: { channel: 1 } }), 10), {
      kind: 'control',
      controls: { channel: 40, keyed: true },
    })
    expect(truthOf(advance(moved, 1.5)).values.powerW).toBe(0)
    expect(truthOf(moved).values.lockS ?? Infinity).toBeGreaterThan(2)
    expect(truthOf(moved).values.lockS ?? 0).toBeLessThan(5)
  })
  it('(c) the other end is fine', () =>
    expect(value(s, { channel: 1, keyed: true }, 'powerW')).toBeGreaterThan(3))
})

describe('X22 glue', () => {
  const s = faulty('X22')
  const damp = (state: RigState, humidity: number) =>
    value(
      does(state, { kind: 'surroundings', surroundings: { humidity } }),
      { mode: 'AM', channel: D19 },
      'vcoV',
    )
  it('(a) control voltage moves 0.2 V with the damp', () =>
    expect(Math.abs(damp(s, 0.8) - damp(s, 0.3))).toBeGreaterThan(0.1))
  it('(b) wanders, and not along an exponential', () => {
    const f = [0, 20, 40, 60, 80].map(
      t => look(advance(s, t), { mode: 'AM', channel: D19, keyed: true }).values.carrierHz!,
    )
    const steps = f.slice(1).map((x, i) => x - f[i]!)
    expect(steps.some(x => x > 2) && steps.some(x => x < -2)).toBe(true)
  })
  it('(c) washed it is gone', () =>
    expect(
      Math.abs(damp(does(s, { kind: 'wash' }), 0.8) - damp(does(s, { kind: 'wash' }), 0.3)),
    ).toBeLessThan(1e-9))
})

describe('X23, X26, X27 modes and bands', () => {
  it('X23 one band off by a constant, the others right', () => {
    const s = faulty('X23')
    for (const n of [1, 19, 40]) expect(offHz(s, bandChannel('E', n), 'AM')).toBeCloseTo(10_000, -1.5)
    for (const band of ['A', 'D', 'F'] as const)
      expect(Math.abs(offHz(s, bandChannel(band, 19), 'AM'))).toBeLessThan(27)
  })
  const tone = (s: RigState, mode: 'USB' | 'LSB') => look(s, { mode, channel: D19, keyed: true, tones: TONE })
  const modeOff = (s: RigState, mode: 'USB' | 'LSB') =>
    tone(s, mode).values.carrierHz! - tone(s, mode).channelHz - (mode === 'USB' ? 1000 : -1000)
  it('X26 LSB +480, USB and AM right, clarifier off only there', () => {
    const s = faulty('X26')
    expect(modeOff(s, 'LSB')).toBeCloseTo(480, -1)
    expect(Math.abs(modeOff(s, 'USB'))).toBeLessThan(10)
    expect(Math.abs(offHz(s, D19, 'AM'))).toBeLessThan(10)
    expect(tone(s, 'LSB').clarifierNull).toBeGreaterThan(0.7)
    expect(tone(s, 'USB').clarifierNull).toBeCloseTo(0.5, 1.5)
  })
  it('X27 USB -400, audio shifted by as much, test point 10.6921', () => {
    const s = faulty('X27')
    expect(modeOff(s, 'USB')).toBeCloseTo(-400, -1)
    expect(tone(s, 'USB').passbandShiftHz).toBeCloseTo(-400, -1)
    expect(tone(s, 'USB').testPoints['carrier oscillator']!.value! / 1e6).toBeCloseTo(10.6921, 4)
  })
})

describe('X24 warm-up drift', () => {
  it('(a) three equal intervals give back where it settles (C21)', () => {
    const cold = rigFault('X24').apply(healthyRig('larkfield-lx8', 3))
    const f = [300, 900, 1500]
      .map(t =>
        truthOf(act(advance(cold, t), { kind: 'control', controls: { mode: 'AM', keyed: true } }).state),
      )
      .map(t => t.testPoints['reference pin']!.value!)
    const r = (f[2]! - f[1]!) / (f[1]! - f[0]!)
    const end = f[0]! + (f[1]! - f[0]!) / (1 - r)
    const settled = truthOf(advance(cold, 50_000)).testPoints['reference pin']!.value!
    expect(Math.abs(end - settled)).toBeLessThan(0.5)
    expect(Math.abs(f[2]! - settled)).toBeGreaterThan(10)
  })
})
