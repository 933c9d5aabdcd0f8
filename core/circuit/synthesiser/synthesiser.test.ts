import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  coilFor,
  lockedLoop,
  mixingPlan,
  multimodeHz,
  secondIfHz,
  singleReference,
  transmitHz,
  vcoControlV,
  vcoHz,
  vcoSlopeHzPerV,
  type Vco,
} from '../index'

const VCO = { inductancePerTurn: 0.2, fixedF: 15e-12, varicapF: 40e-12, junctionV: 0.7, exponent: 0.5 }
const vco: Vco = { ...VCO, inductanceH: coilFor(VCO, 17.1e6, 2.8) }

describe('VCO', () => {
  it('frequency and voltage are inverse over its range', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 9, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (v, turns) => {
          expect(vcoControlV(vco, vcoHz(vco, v, turns), turns)).toBeCloseTo(v, 6)
        },
      ),
    )
    expect(vcoHz(vco, 2.8, 0)).toBeCloseTo(17.1e6, 3)
  })
  it('slope is of the usual size, 0.3 to 1 MHz/V, and falls upwards', () => {
    // by hand: df/dV = f/(2C) x C_v/(2(V + phi)): 17.1e6 / (2 x 32.89) x 17.89 / (2 x 3.5) = 664 kHz/V
    expect(vcoSlopeHzPerV(vco, 2.8, 0) / 1e3).toBeCloseTo(664, 0)
    expect(vcoSlopeHzPerV(vco, 6, 0)).toBeLessThan(vcoSlopeHzPerV(vco, 2, 0))
  })
  it('the coil moves the voltage of every channel alike in sign', () => {
    for (const hz of [16.9e6, 17.1e6, 17.3e6])
      expect(vcoControlV(vco, hz, 0.2)).toBeGreaterThan(vcoControlV(vco, hz, 0))
  })
  it('what no voltage reaches is said so', () => {
    expect(vcoControlV(vco, 60e6, 0)).toBe(Infinity)
    expect(vcoControlV(vco, 5e6, 0)).toBe(-Infinity)
  })
})

describe('locked loop', () => {
  const loop = { vco, lowV: 0.3, railV: 8, pumpS: 0.8, glueF: 0, glueWanderHz: 0 }
  const respond = (neededHz: number, fromV: number, sinceS: number) =>
    lockedLoop.respond(loop, { neededHz, turns: 0, humidity: 0.4 }, { fromV, sinceS })
  it('time of a step is that of an RC towards the rail', () => {
    const to = vcoControlV(vco, 17.3e6, 0)
    expect(respond(17.3e6, 2.8, 0).lockS - 0.08).toBeCloseTo(0.8 * Math.log((8 - 2.8) / (8 - to)), 9)
    expect(respond(17.3e6, 2.8, 0).locked).toBe(false)
    expect(respond(17.3e6, 2.8, 1).locked).toBe(true)
  })
  it('at the rail it never locks', () => {
    const beyond = vcoHz(vco, 8.2, 0)
    expect(respond(beyond, 5, 100)).toMatchObject({
      locked: false,
      inRange: false,
      controlV: 8,
      lockS: Infinity,
    })
  })
})

describe('three-crystal scheme', () => {
  const exact = { referenceHz: 10.24e6, txCrystalHz: 13.045625e6, rxCrystalHz: 15.39625e6 }
  const low = { ...exact, referenceHz: 10.24e6 * (1 - 40e-6) }
  it.each([
    [1, 27_601_250],
    [20, 27_791_250],
    [40, 27_991_250],
  ])('puts channel %d on %d Hz', (channel, hz) => {
    expect(transmitHz(exact, channel)).toBeCloseTo(hz, 6)
    expect(secondIfHz(exact, channel, hz)).toBeCloseTo(455_000, 6)
  })
  // Hand calculation: df = N x 10 kHz x eps; N 151, 170, 190; second IF moves by 10.695 MHz less LO etc.
  it.each([
    [1, -60.4],
    [20, -68],
    [40, -76],
  ])('with the reference 40 ppm low channel %d is %d Hz off', (channel, errorHz) => {
    expect(transmitHz(low, channel) - transmitHz(exact, channel)).toBeCloseTo(errorHz, 6)
  })
  it('hides a wrong reference behind the transmit trimmer, but not from the receiver', () => {
    const trimmed = { ...low, txCrystalHz: exact.txCrystalHz + 34 }
    expect(
      [1, 20, 40].map(c => Math.round((transmitHz(trimmed, c) - transmitHz(exact, c)) * 10) / 10),
    ).toEqual([7.6, 0, -8])
    expect(secondIfHz(trimmed, 20, 27_791_250) - 455_000).toBeCloseTo(477.6, 6)
  })
})

describe('other schemes', () => {
  // C17, computed: eps -9 ppm on channel 19: -244.7 Hz, second IF +240.6 Hz.
  it('one reference: everything by the same share', () => {
    const made = singleReference(10.24e6 * (1 - 9e-6), 27_185_000)
    expect(made.transmitHz - 27_185_000).toBeCloseTo(-244.7, 1)
    expect(made.secondIfHz - 455_000).toBeCloseTo(240.6, 1)
  })
  // C18: at 27.185 N = 150; AM 10.6950 + 14.9900, USB 10.6925 + 14.9925, LSB 10.6975 + 14.9875.
  it.each([
    [10_695_000, 14_990_000],
    [10_692_500, 14_992_500],
    [10_697_500, 14_987_500],
  ])('multimode: carrier oscillator %d, mixing %d', (carrierHz, mixingHz) => {
    expect(mixingPlan(27_185_000, carrierHz)).toEqual({ mixingHz, n: 150 })
    expect(multimodeHz({ referenceHz: 10.24e6, mixingHz, carrierHz }, 150).transmitHz).toBeCloseTo(
      27_185_000,
      6,
    )
  })
  it('every channel of all bands has a positive divider of its own', () => {
    for (let hz = 25_615_000; hz <= 28_305_000; hz += 10_000)
      expect(mixingPlan(hz, 10_695_000).n).toBeGreaterThan(120)
  })
})
