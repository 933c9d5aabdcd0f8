import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fmSignal, recordingOf, withNoise } from '../../../test/fixtures/signals'
import { DEFAULT_OPTIONS, measureRecording } from '..'

const fm = async (
  deviationHz: number,
  toneHz: number,
  offsetHz = 4321,
  snrDb = 60,
  nominalHz: number | null = null,
  rateHz = 48_000,
) =>
  (
    await measureRecording(recordingOf(withNoise(fmSignal(deviationHz, toneHz, offsetHz, rateHz), snrDb)), {
      ...DEFAULT_OPTIONS,
      as: 'fm',
      nominalHz,
    })
  ).measurement

/** Bessel function of order n, by its integral. */
function bessel(n: number, x: number): number {
  const steps = 4000
  let total = 0
  for (let k = 0; k < steps; k++) {
    const t = (Math.PI * (k + 0.5)) / steps
    total += Math.cos(n * t - x * Math.sin(t)) / steps
  }
  return total
}

describe('deviation', () => {
  it.each([
    [100, 1000],
    [500, 400],
    [2000, 1000],
    [2500, 1000],
    [2500, 3000],
    [5000, 1000],
  ])('of %d Hz at %d Hz: peaks, rms (peak over root two), Carson (C12, C13)', async (deviationHz, toneHz) => {
    const { fm: f } = await fm(deviationHz, toneHz)
    for (const read of [f!.deviationPositiveHz!, f!.deviationNegativeHz!, f!.deviationFundamentalHz!])
      expect(Math.abs(read / deviationHz - 1)).toBeLessThan(0.002)
    expect((f!.deviationRmsHz! * Math.SQRT2) / deviationHz).toBeCloseTo(1, 2)
    expect(f!.carsonHz! / (2 * (deviationHz + toneHz))).toBeCloseTo(1, 2)
  })
  it.each([
    [2.404826, 1000],
    [5.520078, 400],
    [8.653728, 300],
  ])('carrier line vanishes at beta = %d, a zero of J0 (Abramowitz and Stegun 9.5)', async (beta, toneHz) => {
    expect((await fm(beta * toneHz, toneHz, 4321, 70)).fm!.carrierLineDbc).toBeLessThan(-50)
  })
  it.each([0.5, 1, 1.5, 2, 3])('carrier line is J0(%d) otherwise (C14)', async beta => {
    expect((await fm(beta * 1000, 1000)).fm!.carrierLineDbc).toBeCloseTo(
      20 * Math.log10(Math.abs(bessel(0, beta))),
      1,
    )
  })
  it(
    'is counted from the nominal frequency when that is known: ' +
      '300 Hz off makes the sides unequal by twice that',
    async () => {
      const { fm: f, notes } = await fm(2000, 1000, 4300, 60, 27_184_000)
      expect(f!.deviationPositiveHz! - f!.deviationNegativeHz!).toBeCloseTo(600, 0)
      expect(notes.find(n => n.code === 'deviation-reference')!.says.code).toBe('note.deviationFromNominal')
    },
  )
  it('over ranges: within five times the stated uncertainty, at 20 to 70 dB', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.double({ min: 100, max: 5000, noNaN: true }),
        fc.double({ min: 300, max: 3000, noNaN: true }),
        fc.integer({ min: 20, max: 70 }),
        async (deviationHz, toneHz, snrDb) => {
          const m = await fm(deviationHz, toneHz, -3210, snrDb)
          expect(Math.abs(m.fm!.deviationFundamentalHz! - deviationHz)).toBeLessThan(
            5 * m.uncertainty.fm!.deviationFundamentalHz!,
          )
          expect(Math.abs(m.carrier!.frequencyHz! - 27_176_790)).toBeLessThan(0.5)
        },
      ),
      { numRuns: 20, seed: 3 },
    )
  })
  it('occupied bandwidth is not Carson: beta 2.5 at 1 kHz is 8 kHz against 7 kHz (C13)', async () => {
    const m = await fm(2500, 1000, 300, 70)
    expect(m.fm!.carsonHz).toBeCloseTo(7000, -2)
    expect(Math.abs(m.spectrum!.occupiedBandwidthHz! - 8000)).toBeLessThan(2 * m.spectrum!.rbwHz)
  })
  it('of a bare carrier is none, and the residual is that of the noise', async () => {
    const { fm: f, notes } = await fm(0.001, 1000, 4321, 40)
    expect(f!.deviationFundamentalHz).toBeNull()
    expect(notes.map(n => n.code)).toContain('no-tone')
    // Discriminator noise between f1 and f2: variance (f2^3 - f1^3)/(3 SNR fs) Hz^2 (FM theory).
    expect(f!.residualHz! / Math.sqrt((3000 ** 3 - 50 ** 3) / (3 * 10 ** 4 * 48_000))).toBeCloseTo(1, 1)
  })
})
