import { CoreError } from '../../errors'
import {
  TAU_S,
  centred,
  curveVariances,
  exponential,
  groupsOf,
  refined,
  residualCorrelation,
  type DriftSample,
} from './exponentialDrift'

export type { DriftSample } from './exponentialDrift'

/**
 * A drift as it was fitted: an exponential hz(t) = settles + amplitude exp(-(t - from) / tau), or the
 * straight line through what there is. Each group has an offset of its own; what is said is said of the last
 * one.
 */
export interface DriftFit {
  readonly kind: 'exponential' | 'line'
  /** where it settles [Hz]; null = still a straight line, too early to say */
  readonly settlesHz: number | null
  /** standard uncertainty of it [Hz], the unknown time constant counted */
  readonly settlesUncertaintyHz: number | null
  readonly amplitudeHz: number
  readonly tauS: number
  readonly fromS: number
  /** at the last sample, signed [Hz/min] */
  readonly rateHzPerMin: number
  /** standard uncertainty of the rate [Hz/min] */
  readonly rateUncertaintyHzPerMin: number
  /** scatter of the samples about the curve [Hz] */
  readonly scatterHz: number
}

/** A line takes three readings, the curve six. */
const MIN_SAMPLES = { line: 3, curve: 6 }
/** Over less than this nothing can be told about minutes [s]. */
const MIN_SPAN_S = 60
/** Near the longest time constant the curve is a straight line. */
const STRAIGHT_SHARE = 0.6
/**
 * Time constants whose misfit is within this of the best (one standard deviation, scaled by the scatter) are
 * as likely.
 */
const ONE_SIGMA = 1
/**
 * The curve is believed when it explains so many variances more than the line: 99 % of chi square with one
 * degree of freedom.
 */
const CURVED = 6.6
/**
 * Neighbours that are alike by this many standard deviations of chance (one over the root of the samples)
 * follow a pattern.
 */
const CORRELATED = 2.5
/**
 * Readings of a counter that shows hertz scatter by at least so much, whatever three of them show [Hz]: half
 * a digit, rectangular.
 */
const MIN_SCATTER_HZ = 0.29

/**
 * Warm-up drift by least squares: for each time constant the other numbers are linear, and the best time
 * constant is looked for on a logarithmic scale and refined. Where the curve explains no more than a line, or
 * there are few readings, the line is what is known.
 *
 * @param samples in order of time; at least 3 over at least a minute
 * @returns null when there are too few
 * @throws {CoreError} not-a-number
 * Source: variable projection (Golub and Pereyra 1973), offsets of groups eliminated by centring (Frisch and
 * Waugh 1933); checked against SciPy's curve_fit in test/reference. Limits: one time constant. A set has
 * several; where what is left about the curve shows it, no end is told. A second one that the scatter hides
 * moves the end by more than is said of it.
 */
export function fitDrift(samples: readonly DriftSample[]): DriftFit | null {
  if (samples.some(s => !Number.isFinite(s.atS) || !Number.isFinite(s.hz)))
    throw new CoreError('not-a-number', 'NaN')
  const usable = withoutLoneGroups(samples)
  const [first, last] = [usable[0], usable.at(-1)]
  if (!first || !last || usable.length < MIN_SAMPLES.line || last.atS - first.atS < MIN_SPAN_S) return null
  const line = fitLine(usable)
  const curve = usable.length < MIN_SAMPLES.curve ? null : fitCurve(usable, line)
  return curve ?? line
}

/** A reading alone in its group tells its own offset and nothing of the drift. */
function withoutLoneGroups(samples: readonly DriftSample[]): DriftSample[] {
  const sizes = new Map<number, number>()
  for (const s of samples) sizes.set(s.group ?? 0, (sizes.get(s.group ?? 0) ?? 0) + 1)
  return samples.filter(s => sizes.get(s.group ?? 0)! > 1)
}

interface Fit extends DriftFit {
  readonly misfit: number
}

function fitLine(samples: readonly DriftSample[]): Fit {
  const [t, y] = [centred(samples, s => s.atS), centred(samples, s => s.hz)]
  const stt = t.reduce((a, v) => a + v * v, 0)
  const slope = t.reduce((a, v, i) => a + v * y[i]!, 0) / stt
  const misfit = t.reduce((a, v, i) => a + (y[i]! - slope * v) ** 2, 0)
  const freedom = samples.length - groupsOf(samples).size - 1
  const scatterHz = Math.max(MIN_SCATTER_HZ, Math.sqrt(misfit / Math.max(1, freedom)))
  return {
    kind: 'line',
    settlesHz: null,
    settlesUncertaintyHz: null,
    amplitudeHz: 0,
    tauS: TAU_S.max,
    fromS: samples[0]!.atS,
    rateHzPerMin: slope * 60,
    rateUncertaintyHzPerMin: (scatterHz / Math.sqrt(stt)) * 60,
    scatterHz,
    misfit,
  }
}

/** @returns null when the readings bend no more than chance */
function fitCurve(samples: readonly DriftSample[], line: Fit): DriftFit | null {
  const [first, last] = [samples[0]!, samples.at(-1)!]
  const fits = Array.from({ length: TAU_S.steps + 1 }, (_, i) =>
    exponential(samples, TAU_S.min * (TAU_S.max / TAU_S.min) ** (i / TAU_S.steps)),
  )
  const best = refined(samples, fits.reduce((a, b) => (b.misfit < a.misfit ? b : a)).tauS)
  const freedom = Math.max(1, samples.length - groupsOf(samples).size - 2)
  const variance = Math.max(best.misfit / freedom, 1e-12)
  if (line.misfit - best.misfit < CURVED * variance) return null
  const likely = [...fits.filter(f => f.misfit <= best.misfit + ONE_SIGMA * variance), best]
  // What is left about the curve follows a pattern: there is more than one time constant. How it moves now is
  // told by its last part, and no end.
  const several =
    Math.sqrt(variance) > MIN_SCATTER_HZ &&
    residualCorrelation(samples, best) > CORRELATED / Math.sqrt(samples.length)
  if (several) return fitLine(lastPart(samples))
  const straight = best.tauS > TAU_S.max * STRAIGHT_SHARE || likely.some(f => f.tauS >= TAU_S.max * 0.999)
  const decay = Math.exp(-(last.atS - first.atS) / best.tauS)
  const spread = curveVariances(samples, best, last.atS - first.atS, decay)
  return {
    kind: 'exponential',
    settlesHz: straight ? null : best.settlesHz,
    settlesUncertaintyHz: straight ? null : Math.sqrt(variance * spread.end),
    amplitudeHz: best.amplitudeHz,
    tauS: best.tauS,
    fromS: first.atS,
    scatterHz: Math.sqrt(variance),
    rateHzPerMin: (-best.amplitudeHz / best.tauS) * decay * 60,
    rateUncertaintyHzPerMin: Math.sqrt(variance * spread.rate) * 60,
  }
}

/** The last third, or as much as a line over a minute takes. */
function lastPart(samples: readonly DriftSample[]): readonly DriftSample[] {
  const lastS = samples.at(-1)!.atS
  const fromS = Math.min(lastS - MIN_SPAN_S, lastS - (lastS - samples[0]!.atS) / 3)
  const tail = withoutLoneGroups(samples.filter(s => s.atS >= fromS))
  return tail.length >= MIN_SAMPLES.line ? tail : samples
}

/**
 * Seconds from the last sample until it moves slower than a limit; 0 = it does, null = the curve does not
 * say.
 */
export function slowIn(fit: DriftFit, lastS: number, limitHzPerMin: number): number | null {
  if (Math.abs(fit.rateHzPerMin) <= limitHzPerMin) return 0
  if (fit.settlesHz === null) return null
  return (
    fit.fromS + fit.tauS * Math.log((Math.abs(fit.amplitudeHz) * 60) / (fit.tauS * limitHzPerMin)) - lastS
  )
}
