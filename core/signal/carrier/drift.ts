import { lineFit } from '../../numeric/lineFit'

/** How a frequency moves: where it began, ended, and will settle. */
export type DriftUncertainty = {
  readonly startHz: number
  readonly endHz: number
  readonly finalHz: number | null
  readonly tauS: number | null
}
export interface Drift {
  readonly startHz: number
  readonly endHz: number
  /** null = no settling can be told from this recording */
  readonly finalHz: number | null
  readonly tauS: number | null
  readonly uncertainty: DriftUncertainty
}

/**
 * Time constants are looked for between these shares of the recording: a shorter one is a step, a longer one
 * a straight line.
 */
const SHORTEST = 0.03
const LONGEST = 4
const STEPS = 60
/** The exponential must leave this much less scatter than a straight line before it is believed. */
const BETTER_THAN_LINE = 0.9
/** A movement below this many times the scatter of its ends is none. */
const SIGNIFICANT = 3

/**
 * Fits f(t) = final + A exp(-t/tau), for each tau of a grid by least squares, then closer around the best one
 * (C21, common practice; a free fit runs away from a poor start).
 * @param timeS times [s]
 * @param hz frequencies at them, noisy
 * @param endS end of what was recorded: it begins at 0 [s]
 */
export function fitDrift(timeS: Float64Array, hz: Float64Array, endS: number): Drift | null {
  if (timeS.length < 8) return null
  const span = timeS.at(-1)! - timeS[0]!
  const line = straight(timeS, hz, endS)
  const moved =
    Math.abs(line.endHz - line.startHz) > SIGNIFICANT * line.scatter * Math.sqrt(12 / timeS.length)
  // The ends of a fitted line are twice as uncertain as its middle.
  const ofEnds = (scatter: number) => (2 * scatter) / Math.sqrt(timeS.length)
  const uncertainty = {
    startHz: ofEnds(line.scatter),
    endHz: ofEnds(line.scatter),
    finalHz: null,
    tauS: null,
  }
  const linear: Drift = moved
    ? { startHz: line.startHz, endHz: line.endHz, finalHz: null, tauS: null, uncertainty }
    : { startHz: line.mean, endHz: line.mean, finalHz: null, tauS: null, uncertainty }
  const best = closestTau(timeS, hz, span)
  const curved = best.residual < (BETTER_THAN_LINE * line.scatter) ** 2 * timeS.length
  if (!curved || best.tau > 0.9 * LONGEST * span || best.tau < 1.1 * SHORTEST * span) return linear
  const at = (t: number) => best.final + best.size * Math.exp(-t / best.tau)
  const u = ofEnds(Math.sqrt(best.residual / timeS.length))
  // Before the first window the curve is continued: by as much as its steepness is uncertain.
  const startSlack =
    Math.abs(best.size) *
    (Math.exp(timeS[0]! / best.tau) - 1) *
    Math.min(1, u / Math.max(Math.abs(best.size), 1e-12) + 0.02)
  // What lies beyond the recording is surer the longer it ran: as the shrinking rest of the exponential says.
  const rest = Math.max(1e-3, 1 - Math.exp(-span / best.tau))
  return {
    startHz: at(0),
    endHz: at(endS),
    finalHz: best.final,
    tauS: best.tau,
    uncertainty: {
      startHz: u + startSlack,
      endHz: u,
      finalHz: u / rest ** 2,
      tauS: (best.tau * u) / Math.max(Math.abs(best.size) * rest ** 2, 1e-12),
    },
  }
}

function straight(t: Float64Array, y: Float64Array, endS: number) {
  const { slope, at0, scatter } = lineFit(t, y)
  const at = (x: number) => at0 + slope * x
  return { mean: at((t[0]! + t.at(-1)!) / 2), startHz: at(0), endHz: at(endS), scatter }
}

interface Settling {
  readonly tau: number
  readonly final: number
  readonly size: number
  readonly residual: number
}

function closestTau(t: Float64Array, y: Float64Array, span: number): Settling {
  const grid = Array.from(
    { length: STEPS },
    (_, i) => span * SHORTEST * (LONGEST / SHORTEST) ** (i / (STEPS - 1)),
  )
  let best = grid.map(tau => settling(t, y, tau)).reduce((a, b) => (b.residual < a.residual ? b : a))
  for (let factor = 1.08; factor > 1.0005; factor = Math.sqrt(factor)) {
    for (const tau of [best.tau / factor, best.tau * factor]) {
      const tried = settling(t, y, tau)
      if (tried.residual < best.residual) best = tried
    }
  }
  return best
}

/** For one time constant the rest is linear. */
function settling(t: Float64Array, y: Float64Array, tau: number): Settling {
  const { slope, at0, residual } = lineFit(
    t.map(x => Math.exp(-x / tau)),
    y,
  )
  return { tau, final: at0, size: slope, residual }
}
