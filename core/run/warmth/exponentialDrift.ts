import { minimumOf } from '../../numeric/search'
import { inverse } from '../../numeric/inverse'

/** A frequency, or its error, at a time. */
export interface DriftSample {
  readonly atS: number
  readonly hz: number
  /**
   * readings of one group share their offset: something was turned, or changed, between two groups; none =
   * one group
   */
  readonly group?: number
}

/** Time constants that are tried [s], in equal ratios. */
export const TAU_S = { min: 30, max: 7200, steps: 48 }

/** Groups that readings belong to. */
export const groupsOf = (samples: readonly DriftSample[]) => new Set(samples.map(s => s.group ?? 0))

/** Values less the mean of their group. */
export function centred(samples: readonly DriftSample[], of: (s: DriftSample) => number): number[] {
  const sums = new Map<number, { n: number; total: number }>()
  for (const s of samples) {
    const sum = sums.get(s.group ?? 0) ?? { n: 0, total: 0 }
    sums.set(s.group ?? 0, { n: sum.n + 1, total: sum.total + of(s) })
  }
  return samples.map(s => {
    const sum = sums.get(s.group ?? 0)!
    return of(s) - sum.total / sum.n
  })
}

/** The curve of one time constant that fits best. */
export interface Exponential {
  readonly tauS: number
  readonly settlesHz: number
  readonly amplitudeHz: number
  readonly misfit: number
}

/** Amplitude and end by least squares, each group with an offset of its own. @param tauS > 0 */
export function exponential(samples: readonly DriftSample[], tauS: number): Exponential {
  const from = samples[0]!.atS
  const decay = (s: DriftSample) => Math.exp(-(s.atS - from) / tauS)
  const [e, h] = [centred(samples, decay), centred(samples, s => s.hz)]
  const see = e.reduce((a, v) => a + v * v, 0)
  const amplitudeHz = see > 0 ? e.reduce((a, v, i) => a + v * h[i]!, 0) / see : 0
  const group = samples.at(-1)!.group ?? 0
  const own = samples.filter(s => (s.group ?? 0) === group)
  const settlesHz = own.reduce((a, s) => a + s.hz - amplitudeHz * decay(s), 0) / own.length
  const misfit = e.reduce((a, v, i) => a + (h[i]! - amplitudeHz * v) ** 2, 0)
  return { tauS, settlesHz, amplitudeHz, misfit }
}

/** About the best of the grid. */
export function refined(samples: readonly DriftSample[], tauS: number): Exponential {
  const step = (TAU_S.max / TAU_S.min) ** (1 / TAU_S.steps)
  const low = Math.log(Math.max(TAU_S.min, tauS / step))
  const high = Math.log(Math.min(TAU_S.max, tauS * step))
  const logTau = minimumOf(low, high, x => exponential(samples, Math.exp(x)).misfit)
  return exponential(samples, Math.exp(logTau))
}

/**
 * Correlation of what is left of each sample with the next of its group: nought of noise.
 * @returns at most 0.95
 */
export function residualCorrelation(
  samples: readonly DriftSample[],
  { tauS, amplitudeHz }: Exponential,
): number {
  const from = samples[0]!.atS
  const [e, h] = [centred(samples, s => Math.exp(-(s.atS - from) / tauS)), centred(samples, s => s.hz)]
  const left = h.map((v, i) => v - amplitudeHz * e[i]!)
  const total = left.reduce((a, v) => a + v * v, 0)
  const next = left.reduce(
    (a, v, i) =>
      i > 0 && (samples[i]!.group ?? 0) === (samples[i - 1]!.group ?? 0) ? a + v * left[i - 1]! : a,
    0,
  )
  return total > 0 ? Math.min(0.95, next / total) : 0
}

/**
 * Variances of the end and of the rate in units of that of one sample: all numbers of the curve are unknown.
 */
export function curveVariances(
  samples: readonly DriftSample[],
  { amplitudeHz, tauS }: Exponential,
  lastT: number,
  decay: number,
): { end: number; rate: number } {
  const from = samples[0]!.atS
  const group = samples.at(-1)!.group ?? 0
  const slopeE = (s: DriftSample) => Math.exp(-(s.atS - from) / tauS)
  const slopeTau = (s: DriftSample) => ((amplitudeHz * (s.atS - from)) / tauS) * slopeE(s)
  const [eCentred, tauCentred] = [centred(samples, slopeE), centred(samples, slopeTau)]
  const normal = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ]
  samples.forEach((s, i) => {
    const own = (s.group ?? 0) === group
    const slopes = own ? [1, slopeE(s), slopeTau(s)] : [0, eCentred[i]!, tauCentred[i]!]
    slopes.forEach((a, j) => slopes.forEach((b, k) => (normal[j]![k]! += a * b)))
  })
  const cov = inverse(normal)
  // The third number is ln tau: its slope above is A t / tau e^(-t / tau).
  const byAmplitude = -decay / tauS
  const byLogTau = ((amplitudeHz * decay) / tauS) * (1 - lastT / tauS)
  const rate =
    byAmplitude ** 2 * cov[1]![1]! + 2 * byAmplitude * byLogTau * cov[1]![2]! + byLogTau ** 2 * cov[2]![2]!
  return { end: cov[0]![0]!, rate: Math.max(0, rate) }
}
