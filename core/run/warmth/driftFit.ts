import { CoreError } from '../../errors'
import { inverse } from '../inverse'

/** A frequency, or its error, at a time. */
export interface DriftSample { readonly atS: number, readonly hz: number }

/** A drift as it was fitted: hz(t) = settles + amplitude exp(-(t - from) / tau). */
export interface DriftFit {
  /** where it settles [Hz]; null = still a straight line, too early to say */
  readonly settlesHz: number | null
  /** standard uncertainty of it [Hz], the unknown time constant counted */
  readonly settlesUncertaintyHz: number | null
  readonly amplitudeHz: number
  readonly tauS: number
  readonly fromS: number
  /** at the last sample, signed [Hz/min] */
  readonly rateHzPerMin: number
  /** scatter of the samples about the curve [Hz] */
  readonly scatterHz: number
}

const LEAST_SAMPLES = 6
/** Over less than this nothing can be told about minutes [s]. */
const LEAST_SPAN_S = 60
const TAU_S = { least: 30, most: 7200, steps: 48 }
/** Near the longest time constant the curve is a straight line. */
const STRAIGHT_SHARE = 0.6
/** Time constants whose misfit is within this of the best (one standard deviation, scaled by the scatter) are as likely. */
const ONE_SIGMA = 1

/**
 * Warm-up drift as an exponential, by least squares: for each time constant the other two are linear, and the best time constant is looked for on a logarithmic scale and refined.
 *
 * @param samples in order of time; at least 6 over at least a minute
 * @returns null when there are too few
 * @throws {CoreError} not-a-number
 * Source: variable projection (Golub and Pereyra 1973); checked against SciPy's curve_fit in test/reference.
 * Limits: one time constant. A set has several; what is said of the end is good to the scatter and grows as the curve bends.
 */
export function fitDrift(samples: readonly DriftSample[]): DriftFit | null {
  if (samples.some(s => !Number.isFinite(s.atS) || !Number.isFinite(s.hz))) throw new CoreError('not-a-number', 'a sample of the drift is no number')
  const [first, last] = [samples[0], samples.at(-1)]
  if (!first || !last || samples.length < LEAST_SAMPLES || last.atS - first.atS < LEAST_SPAN_S) return null
  const fits = Array.from({ length: TAU_S.steps + 1 }, (_, i) => linear(samples, TAU_S.least * (TAU_S.most / TAU_S.least) ** (i / TAU_S.steps)))
  const best = refined(samples, fits.reduce((a, b) => b.misfit < a.misfit ? b : a).tauS)
  const variance = Math.max(best.misfit / Math.max(1, samples.length - 3), 1e-12)
  const likely = [...fits.filter(f => f.misfit <= best.misfit + ONE_SIGMA * variance), best]
  const straight = best.tauS > TAU_S.most * STRAIGHT_SHARE || likely.some(f => f.tauS >= TAU_S.most * 0.999)
  return {
    settlesHz: straight ? null : best.settlesHz,
    settlesUncertaintyHz: straight ? null : Math.sqrt(variance * endVariance(samples, best)),
    amplitudeHz: best.amplitudeHz, tauS: best.tauS, fromS: first.atS, scatterHz: Math.sqrt(variance),
    rateHzPerMin: -best.amplitudeHz / best.tauS * Math.exp(-(last.atS - first.atS) / best.tauS) * 60,
  }
}

interface Linear { readonly tauS: number, readonly settlesHz: number, readonly amplitudeHz: number, readonly misfit: number }

function linear(samples: readonly DriftSample[], tauS: number): Linear {
  const from = samples[0]!.atS
  const n = samples.length
  let [se, see, sh, seh] = [0, 0, 0, 0]
  for (const { atS, hz } of samples) {
    const e = Math.exp(-(atS - from) / tauS)
    se += e
    see += e * e
    sh += hz
    seh += e * hz
  }
  const det = n * see - se * se
  const amplitudeHz = (n * seh - se * sh) / det
  const settlesHz = (sh - amplitudeHz * se) / n
  const misfit = samples.reduce((s, { atS, hz }) => s + (hz - settlesHz - amplitudeHz * Math.exp(-(atS - from) / tauS)) ** 2, 0)
  return { tauS, settlesHz, amplitudeHz, misfit }
}

/** Variance of the end in units of that of one sample: the slopes of the curve in its three numbers, all of them unknown. */
function endVariance(samples: readonly DriftSample[], { amplitudeHz, tauS }: Linear): number {
  const normal = [[0, 0, 0], [0, 0, 0], [0, 0, 0]]
  for (const { atS } of samples) {
    const t = (atS - samples[0]!.atS) / tauS
    const slopes = [1, Math.exp(-t), amplitudeHz * t * Math.exp(-t)]
    slopes.forEach((a, i) => slopes.forEach((b, j) => (normal[i]![j]! += a * b)))
  }
  return inverse(normal)[0]![0]!
}

/** Golden section about the best of the grid. */
function refined(samples: readonly DriftSample[], tauS: number): Linear {
  const step = (TAU_S.most / TAU_S.least) ** (1 / TAU_S.steps)
  const GOLDEN = (Math.sqrt(5) - 1) / 2
  let [low, high] = [Math.log(Math.max(TAU_S.least, tauS / step)), Math.log(Math.min(TAU_S.most, tauS * step))]
  for (let i = 0; i < 30; i++) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)]
    if (linear(samples, Math.exp(a)).misfit < linear(samples, Math.exp(b)).misfit) high = b
    else low = a
  }
  return linear(samples, Math.exp((low + high) / 2))
}

/** Seconds from the last sample until it moves slower than a limit; 0 = it does, null = the curve does not say. */
export function slowIn(fit: DriftFit, lastS: number, limitHzPerMin: number): number | null {
  if (Math.abs(fit.rateHzPerMin) <= limitHzPerMin) return 0
  if (fit.settlesHz === null) return null
  return fit.fromS + fit.tauS * Math.log(Math.abs(fit.amplitudeHz) * 60 / (fit.tauS * limitHzPerMin)) - lastS
}
