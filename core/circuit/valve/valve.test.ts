import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  highVoltage,
  meterMovement,
  neutralising,
  piNetwork,
  piParts,
  valvePair,
  type ValvePair,
} from '../index'

// C44, computed: Q = 12, Ro = 50.
describe('pi-network', () => {
  it.each([
    [2000, 3.7, 258.1, 1393.8, 8.08],
    [2000, 7.1, 134.5, 726.4, 4.21],
    [2000, 14.2, 67.25, 363.2, 2.11],
    [2000, 28.5, 33.51, 181, 1.05],
    [1500, 14.2, 89.66, 438.9, 1.62],
    [2500, 14.2, 53.8, 309, 2.59],
  ])('%d ohm at %d MHz: %d pF, %d pF, %d uH', (ohm, mhz, plate, load, coil) => {
    const p = piParts(ohm, 50, 12, mhz * 1e6)
    expect((p.plateF * 1e12) / plate).toBeCloseTo(1, 3)
    expect((p.loadF * 1e12) / load).toBeCloseTo(1, 3)
    expect(Math.abs(p.inductanceH * 1e6 - coil)).toBeLessThan(0.006)
    const z = piNetwork.respond(
      { inductanceH: p.inductanceH, coilQ: 1e9, loadOhm: 50 },
      { plateF: p.plateF, loadF: p.loadF, frequencyHz: mhz * 1e6 },
      null,
    )
    expect(z.resistanceOhm).toBeCloseTo(ohm, 2)
    expect(Math.abs(z.reactanceOhm)).toBeLessThan(0.01)
  })
  const p = piParts(2000, 50, 12, 14.2e6)
  const look = (plateF: number, loadF: number, coilQ = 1e9) =>
    piNetwork.respond(
      { inductanceH: p.inductanceH, coilQ, loadOhm: 50 },
      { plateF, loadF, frequencyHz: 14.2e6 },
      null,
    )
  /** Plate capacitor of resonance, where the reactance changes its sign. */
  const dipped = (loadF: number) => {
    let [low, high] = [0.8 * p.plateF, 1.2 * p.plateF]
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2
      if (look(middle, loadF).reactanceOhm > 0) low = middle
      else high = middle
    }
    return look(low, loadF)
  }
  it.each([
    [0.8, 1455],
    [0.9, 1709],
    [1.1, 2328],
    [1.2, 2694],
  ])('load capacitor x%d, dipped again: %d ohm', (share, ohm) =>
    expect(dipped(share * p.loadF).resistanceOhm / ohm).toBeCloseTo(1, 2),
  )
  it('a coil of Q 200 leaves about 94 %', () =>
    expect(look(p.plateF, p.loadF, 200).efficiency).toBeCloseTo(0.94, 2))
  it('refuses a Q that cannot match', () =>
    expect(() => piParts(10_000, 50, 3, 14.2e6)).toThrow(expect.objectContaining({ code: 'out-of-range' })))
})

describe('valve pair', () => {
  const pair: ValvePair = {
    driveA: 0.5,
    idleA: 0.06,
    emission: 1,
    swingRatio: 0.84,
    plateOhm: 2400,
    fundamentalRatio: 1.57,
  }
  const input = { plateV: 800, bias: 0.5, drive: 1, loadResistanceOhm: 1650, loadReactanceOhm: 0, warmth: 1 }
  const run = (change = {}, part = pair) => valvePair.respond(part, { ...input, ...change }, null)
  it('tuned: about 250 mA, plate efficiency 50 to 65 %, dissipation as C43', () => {
    const tuned = run()
    expect(tuned.plateA).toBeGreaterThan(0.2)
    expect(tuned.plateA).toBeLessThan(0.28)
    expect(tuned.tankW / (800 * tuned.plateA)).toBeGreaterThan(0.5)
    expect(tuned.tankW / (800 * tuned.plateA)).toBeLessThan(0.67)
  })
  it('off resonance the current is high and all of it heat', () => {
    const off = run({ loadResistanceOhm: 60, loadReactanceOhm: 300 })
    expect(off.plateA).toBeGreaterThan(run().plateA)
    expect(off.dissipationW / (800 * off.plateA)).toBeGreaterThan(0.9)
  })
  it('a lighter load dips deeper with less output', () => {
    const light = run({ loadResistanceOhm: 2700 })
    expect(light.plateA).toBeLessThan(run().plateA)
    expect(light.tankW).toBeLessThan(run().tankW)
  })
  it('never makes power out of nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 9000, noNaN: true }),
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (drive, bias, r, x, emission) => {
          const s = run({ drive, bias, loadResistanceOhm: r, loadReactanceOhm: x }, { ...pair, emission })
          expect(s.plateA).toBeGreaterThanOrEqual(0)
          expect(s.tankW).toBeGreaterThanOrEqual(0)
          expect(s.dissipationW).toBeGreaterThanOrEqual(-1e-9)
        },
      ),
    )
  })
})

describe('around them', () => {
  // C45: 100 uF at 900 V, bleeder 100 kohm: 10 s, 34 s to 30 V.
  it('high voltage dies by RC', () => {
    const p = { fullV: 900, reservoirF: 100e-6, bleederOhm: 100_000, bleederOpen: false }
    expect(highVoltage.pass(p, { on: false }, { volts: 900 }, 34).volts).toBeCloseTo(30, 0)
    expect(
      highVoltage.pass({ ...p, bleederOpen: true }, { on: false }, { volts: 900 }, 3600).volts,
    ).toBeGreaterThan(600)
    expect(highVoltage.pass(p, { on: true }, { volts: 0 }, 5).volts).toBeCloseTo(900, 3)
  })
  // C32: threshold 0.2 of 1.0 V at 100 W: 25 W show as 14.1, 10 W as 2.1.
  it.each([
    [100, 100],
    [25, 14.06],
    [10, 2.11],
  ])('a diode meter shows %d W as %d', (powerW, shown) =>
    expect(
      meterMovement.respond({ fullScaleW: 100, thresholdRatio: 0.2, gain: 1 }, { powerW, preset: 1 }, null),
    ).toBeCloseTo(shown, 1),
  )
  it('neutralising has its best place', () => {
    expect(neutralising.respond({ nullAt: 0.5, slope: 3 }, { position: 0.5 }, null)).toBe(1)
    expect(neutralising.respond({ nullAt: 0.5, slope: 3 }, { position: 0.9 }, null)).toBeCloseTo(0.52, 9)
  })
})
