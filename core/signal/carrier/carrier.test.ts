import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { carrierOf, sine, type MadeSignal } from '../../../test/fixtures/signals'
import type { Series } from '../series'
import { lineFit } from '../../numeric/lineFit'
import { derotate } from './carrierFigures'
import { coarseTrack, phaseAt } from './coarseTrack'
import { fitDrift } from './drift'
import { phaseTrack } from './phaseTrack'

const times = Float64Array.from({ length: 200 }, (_, n) => n * 0.05)
const noisy = (f: (t: number) => number, sigma: number, seed = 1) => {
  const r = randomFrom(seed)
  return times.map(t => f(t) + sigma * Math.sqrt(12) * r.within(-0.5, 0.5))
}
const seriesOf = ({ i, q, rateHz }: MadeSignal): Series => ({
  re: Float32Array.from(i),
  im: Float32Array.from(q),
  rateHz,
})

describe('drift', () => {
  it.each([0.6, 1.5, 4, 9])(
    'with a time constant of %d s of ten recorded is found with where it settles',
    tau => {
      const drift = fitDrift(
        times,
        noisy(t => -56 - 84 * Math.exp(-t / tau), 0.2),
        times.at(-1)!,
      )!
      expect(Math.abs(drift.tauS! / tau - 1)).toBeLessThan(0.1)
      expect(Math.abs(drift.finalHz! + 56)).toBeLessThan(5 * drift.uncertainty.finalHz!)
      expect(drift.startHz).toBeCloseTo(-140, 0)
    },
  )
  it('in a straight line is told, but not where it would end', () => {
    const drift = fitDrift(
      times,
      noisy(t => 3 * t, 0.1),
      times.at(-1)!,
    )!
    expect([drift.finalHz, drift.tauS]).toEqual([null, null])
    expect(drift.endHz - drift.startHz).toBeCloseTo(3 * times.at(-1)!, 0)
  })
  it('that is nothing but noise is none', () => {
    for (let seed = 1; seed < 20; seed++) {
      const drift = fitDrift(
        times,
        noisy(() => 7, 1, seed),
        times.at(-1)!,
      )!
      expect([drift.startHz === drift.endHz, drift.tauS]).toEqual([true, null])
    }
  })
  it('of a sudden jump is no exponential (C21, the guard)', () => {
    expect(
      fitDrift(
        times,
        noisy(t => (t < 5 ? 0 : 30), 0.1),
        times.at(-1)!,
      )!.tauS,
    ).toBeNull()
  })
  it('of too few points is not judged', () =>
    expect(fitDrift(times.subarray(0, 5), times.subarray(0, 5), 1)).toBeNull())
})

describe('a carrier that wanders 100 Hz', () => {
  const made = carrierOf(
    48_000,
    2,
    t => 1 + 0.7 * sine(1000)(t),
    t => (100 / (2 * Math.PI * 0.5)) * Math.sin(2 * Math.PI * 0.5 * t),
  )
  it('is followed coarsely under modulation, then held still to a hundredth of a turn', () => {
    const series = seriesOf(made)
    const coarse = coarseTrack(series)!
    const truth = (t: number) => (100 / 0.5) * Math.sin(2 * Math.PI * 0.5 * t)
    for (const t of [0.3, 0.9, 1.6])
      expect(Math.abs(phaseAt(coarse, t) - truth(t) - (phaseAt(coarse, 0.1) - truth(0.1)))).toBeLessThan(1)
    const derotated = derotate(series, coarse)
    const still = derotate(derotated, phaseTrack(derotated))
    const rest = phaseTrack(still)
    for (let b = 3; b < rest.phaseRad.length - 3; b++)
      expect(Math.abs(rest.phaseRad[b]!)).toBeLessThan((2 * Math.PI) / 100)
  })
})

describe('a straight line', () => {
  it('through points on it leaves nothing, and says how sure its slope is otherwise', () => {
    const exact = lineFit([0, 1, 2, 3], [1, 3, 5, 7])
    expect([exact.slope, exact.at0]).toEqual([2, 1])
    expect(exact.scatter).toBeLessThan(1e-12)
    const r = randomFrom(3)
    const x = Array.from({ length: 400 }, (_, n) => n / 100)
    const fit = lineFit(
      x,
      x.map(v => 5 * v + r.within(-1, 1)),
    )
    expect(Math.abs(fit.slope - 5)).toBeLessThan(4 * fit.slopeUncertainty)
    expect(fit.scatter).toBeCloseTo(2 / Math.sqrt(12), 1)
  })
})
