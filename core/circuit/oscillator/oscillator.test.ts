import { describe, expect, it } from 'vitest'
import {
  clockGenerator,
  crystalOscillator,
  effectiveLoadF,
  loadForPull,
  pullRatio,
  trimmerFor,
  type CrystalOscillator,
} from '../index'

describe('crystal', () => {
  // Outside reference: ngspice 39.3, test/reference/crystalPull.cir: frequency of the current maximum,
  // printed to 10 Hz (1 ppm).
  it.each([
    [12, 10_246_020],
    [15, 10_245_120],
    [20, 10_244_090],
    [25, 10_243_410],
    [30, 10_242_920],
    [40, 10_242_270],
  ])('is pulled by %d pF to where the circuit simulator finds it', (pF, hz) => {
    const ppm = pullRatio({ motionalF: 20e-15, shuntF: 5e-12 }, pF * 1e-12) * 1e6
    // Half a printed digit and the damping of R1.
    expect(Math.abs(ppm - (hz / 10.24e6 - 1) * 1e6)).toBeLessThan(1.2)
  })
  it('the load for a pull is its inverse', () => {
    const cut = { motionalF: 20e-15, shuntF: 5e-12 }
    for (const pF of [8, 20, 45])
      expect(loadForPull(cut, pullRatio(cut, pF * 1e-12))).toBeCloseTo(pF * 1e-12, 20)
    expect(() => loadForPull(cut, 0.01)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
  it('a coil in series enlarges its load by 1/(1 - w^2 L C)', () => {
    // by hand: (2 pi 10.695e6)^2 x 2e-6 x 25e-12 = 0.22579; 25/(1 - 0.22579) = 32.291 pF
    expect(effectiveLoadF(25e-12, 2e-6, 10.695e6) * 1e12).toBeCloseTo(32.291, 2)
    expect(() => effectiveLoadF(100e-12, 5e-6, 10.695e6)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })
  it('refuses a load that is none', () =>
    expect(() => pullRatio({ motionalF: 20e-15, shuntF: 5e-12 }, 0)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    ))
})

describe('crystal oscillator', () => {
  const p: CrystalOscillator = {
    nominalHz: 10.24e6,
    cut: { motionalF: 8e-15, shuntF: 5e-12 },
    fixedF: 12e-12,
    trimmerF: { min: 2e-12, max: 20e-12 },
    designF: 22e-12,
    coilH: 0,
    coilPerTurn: 0,
    ageingPpm: 0,
    warmUpPpm: -2,
    warmUpS: 480,
    tempcoPpmPerK: -0.03,
  }
  const at = (trimmer: number, coldShare = 0, ambientC = 25, part = p) =>
    crystalOscillator.respond(part, { trimmer, turns: 0, ambientC }, { coldShare })
  it('is lowered by capacitance, and the trimmer ends at its stops', () => {
    expect(at(0)).toBeGreaterThan(at(0.5))
    expect(at(0.5)).toBeGreaterThan(at(1))
    expect(at(2)).toBe(at(1))
    expect(at(8 / 18)).toBeCloseTo(10.24e6, 6) // 12 + 2 + 8 pF is the design load
  })
  it('drifts away its warm-up: after one time constant 1/e is left', () => {
    const warm = crystalOscillator.pass(
      p,
      { trimmer: 0, turns: 0, ambientC: 25 },
      crystalOscillator.rest(p),
      480,
    )
    expect(warm.coldShare).toBeCloseTo(1 / Math.E, 12)
    expect(at(8 / 18, 1) - at(8 / 18)).toBeCloseTo(-20.48, 6)
  })
  it('ten short waits are one long one', () => {
    let m = crystalOscillator.rest(p)
    for (let i = 0; i < 10; i++) m = crystalOscillator.pass(p, { trimmer: 0, turns: 0, ambientC: 25 }, m, 30)
    expect(m.coldShare).toBeCloseTo(
      crystalOscillator.pass(p, { trimmer: 0, turns: 0, ambientC: 25 }, { coldShare: 1 }, 300).coldShare,
      12,
    )
  })
  it('follows the shop’s temperature: -0.03 ppm/K are -3.07 Hz for ten kelvin', () =>
    expect(at(0.4, 0, 35) - at(0.4)).toBeCloseTo(-3.072, 3))
  it('finds the trimmer for a frequency, or the stop it ends at', () => {
    for (const hz of [10.2398e6, 10.24e6, 10.2403e6]) expect(at(trimmerFor(p, hz))).toBeCloseTo(hz, 5)
    expect(trimmerFor(p, 10.24e6 * (1 + 60e-6))).toBeCloseTo(0.0086, 2) // 62 ppm is its reach
    expect(trimmerFor(p, 10.24e6 * (1 - 60e-6))).toBe(1)
  })
  it('a coil turned in lowers it', () => {
    const coil = {
      ...p,
      cut: { motionalF: 20e-15, shuntF: 5e-12 },
      designF: 25e-12,
      fixedF: 25e-12,
      trimmerF: { min: 0, max: 0 },
      coilH: 2e-6,
      coilPerTurn: 0.2,
    }
    const turned = (turns: number) =>
      crystalOscillator.respond(coil, { trimmer: 0, turns, ambientC: 25 }, { coldShare: 0 })
    expect(turned(0)).toBeCloseTo(10.24e6, 6)
    expect(turned(1)).toBeLessThan(turned(0))
    expect(turned(-1)).toBeGreaterThan(turned(0))
  })
})

describe('clock generator', () => {
  // C22: told a crystal 10 ppm too high it makes everything 10 ppm too low.
  it('told too high makes too low', () =>
    expect(
      clockGenerator.respond(
        { crystalHz: 25e6, ageingPpm: 0 },
        { targetHz: 10e6, assumedHz: 25e6 * (1 + 10e-6), driftPpm: 0 },
        null,
      ) - 10e6,
    ).toBeCloseTo(-100, 2))
})
