import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { oscillatorHz, pullRatio, warmUpPpm, type CrystalOscillator } from './crystal'
import { deterministicNoise } from './deterministicNoise'
import { secondIfHz, transmitHz } from './mixingScheme'
import { atSupply, saturatedPowerW } from './saturatingStage'
import { stageResponse, tunedHz, tunedResponse } from './tunedStage'

const dB = (ratio: number) => 10 * Math.log10(ratio)

describe('crystal', () => {
  // Outside reference: ngspice 39.3, test/reference/crystalPull.cir: frequency of the current maximum, printed to 10 Hz (1 ppm).
  it.each([[12, 10_246_020], [15, 10_245_120], [20, 10_244_090], [25, 10_243_410], [30, 10_242_920], [40, 10_242_270]])('is pulled by %d pF to where the circuit simulator finds it', (pF, hz) => {
    const ppm = pullRatio({ motionalF: 20e-15, shuntF: 5e-12 }, pF * 1e-12) * 1e6
    expect(Math.abs(ppm - (hz / 10.24e6 - 1) * 1e6)).toBeLessThan(1.2) // half a printed digit and the damping of R1
  })
  const oscillator: CrystalOscillator = { nominalHz: 10.24e6, cut: { motionalF: 8e-15, shuntF: 5e-12 }, fixedF: 12e-12, trimmerF: { min: 2e-12, max: 20e-12 }, designF: 22e-12, ageingPpm: 0 }
  it('is lowered by capacitance, and the trimmer ends at its stops', () => {
    const at = (p: number) => oscillatorHz(oscillator, p, 0)
    expect(at(0)).toBeGreaterThan(at(0.5))
    expect(at(0.5)).toBeGreaterThan(at(1))
    expect(at(2)).toBe(at(1))
    expect(at(8 / 18)).toBeCloseTo(10.24e6, 6) // 12 + 2 + 8 pF is the design load
  })
  it('drifts away its warm-up', () => {
    expect(warmUpPpm(-2, 480, 0)).toBe(-2)
    expect(warmUpPpm(-2, 480, 480)).toBeCloseTo(-2 / Math.E, 12)
    expect(oscillatorHz(oscillator, 8 / 18, -2)).toBeCloseTo(10.24e6 - 20.48, 6)
  })
  it('refuses a load that is none', () => {
    expect(() => pullRatio({ motionalF: 20e-15, shuntF: 5e-12 }, 0)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('tuned stage', () => {
  // Outside reference: ngspice 39.3, test/reference/tunedStage.cir, relative to its peak of 54.4774 dB.
  // The formula is the one for |df| << f; at 1.7 % off it may differ by 0.05 dB (the term of second order).
  it.each([[27.60125e6, 51.2246 - 54.4774], [27.79125e6, 52.9698 - 54.4774], [27.99125e6, 54.2830 - 54.4774]])('Q 30 tuned 300 kHz high passes %d Hz as the circuit simulator says', (hz, expectedDb) => {
    expect(Math.abs(dB(tunedResponse(30, 28.09125e6, hz)) - expectedDb)).toBeLessThan(0.05)
  })
  // Source: handbook figures for a band of 390 kHz at 27.79 MHz, per stage (computed from the textbook formula by hand).
  it.each([[20, -0.33], [30, -0.71], [50, -1.74], [80, -3.54]])('Q %d loses %d dB at the band edges', (q, lossDb) => {
    expect(dB(tunedResponse(q, 27.79e6, 27.79e6 - 195e3))).toBeCloseTo(lossDb, 1)
  })
  it('moves 0.5 % in frequency for 1 % of inductance', () => {
    expect(tunedHz({ centreHz: 27.8e6, q: 20, inductancePerTurn: 0.01 }, 1) / 27.8e6 - 1).toBeCloseTo(-0.005, 4)
  })
  it('is largest at its tuning, whatever the core', () => {
    fc.assert(fc.property(fc.double({ min: -2, max: 2, noNaN: true }), fc.integer({ min: 26e6, max: 29e6 }), (turns, hz) => {
      const stage = { centreHz: 27.8e6, q: 20, inductancePerTurn: 0.03 }
      expect(stageResponse(stage, turns, hz)).toBeLessThanOrEqual(stageResponse(stage, turns, tunedHz(stage, turns)))
    }))
  })
  it.each([[0, 1, 1], [1, 0, 1], [1, 1, -1]])('refuses Q %d, %d Hz at %d Hz', (q, f0, f) => {
    expect(() => tunedResponse(q, f0, f)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('saturating stage', () => {
  it('rises to its limit and never beyond', () => {
    fc.assert(fc.property(fc.double({ min: 0, max: 100, noNaN: true }), fc.double({ min: 0.001, max: 1, noNaN: true }), (drive, more) => {
      expect(saturatedPowerW(drive + more, 4)).toBeGreaterThan(saturatedPowerW(drive, 4))
      expect(saturatedPowerW(drive, 4)).toBeLessThan(4)
    }))
    expect(saturatedPowerW(-1, 4)).toBe(0)
  })
  // Source: P ~ V^2 worked by hand: 4 W at 13.8 V gives 3.02 W at 12.0 V and 4.36 W at 14.4 V.
  it.each([[12, 3.02], [12.6, 3.33], [13.2, 3.66], [14.4, 4.36]])('at %d V gives %d W', (volts, watts) => {
    expect(atSupply(4, volts, 13.8)).toBeCloseTo(watts, 2)
  })
})

describe('three-crystal scheme', () => {
  const exact = { referenceHz: 10.24e6, txCrystalHz: 13.045625e6, rxCrystalHz: 15.39625e6 }
  const low = { ...exact, referenceHz: 10.24e6 * (1 - 40e-6) }
  it.each([[1, 27_601_250], [20, 27_791_250], [40, 27_991_250]])('puts channel %d on %d Hz', (channel, hz) => {
    expect(transmitHz(exact, channel)).toBeCloseTo(hz, 6)
    expect(secondIfHz(exact, channel, hz)).toBeCloseTo(455_000, 6)
  })
  // Hand calculation: df = N x 10 kHz x eps; N 151, 170, 190; second IF moves by 10.695 MHz less LO etc.
  it.each([[1, -60.4], [20, -68], [40, -76]])('with the reference 40 ppm low channel %d is %d Hz off', (channel, errorHz) => {
    expect(transmitHz(low, channel) - transmitHz(exact, channel)).toBeCloseTo(errorHz, 6)
  })
  it('hides a wrong reference behind the transmit trimmer, but not from the receiver', () => {
    const trimmed = { ...low, txCrystalHz: exact.txCrystalHz + 34 }
    expect([1, 20, 40].map(c => Math.round((transmitHz(trimmed, c) - transmitHz(exact, c)) * 10) / 10)).toEqual([7.6, 0, -8])
    expect(secondIfHz(trimmed, 20, 27_791_250) - 455_000).toBeCloseTo(477.6, 6)
  })
})

describe('noise', () => {
  it('is the same for the same seed, stream and time, and about even', () => {
    expect(deterministicNoise(1, 2, 3.33)).toBe(deterministicNoise(1, 2, 3.33))
    const values = Array.from({ length: 4000 }, (_, i) => deterministicNoise(27, 1, i * 0.05 + 0.01))
    const mean = values.reduce((a, b) => a + b) / values.length
    expect(Math.abs(mean)).toBeLessThan(0.05) // five standard errors of a uniform mean
    expect(Math.max(...values)).toBeLessThanOrEqual(1)
    expect(Math.min(...values)).toBeGreaterThanOrEqual(-1)
    expect(values.some((v, i) => v !== deterministicNoise(27, 2, i * 0.05 + 0.01))).toBe(true)
  })
})
