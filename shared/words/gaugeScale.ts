import { ticks } from 'd3-array'

/** What a fork gauge has to show, all in one unit. */
export interface GaugeValues {
  readonly low: number | null
  readonly high: number | null
  readonly aim: number | null
  readonly asFound: number | null
  readonly now: number | null
  readonly bound: number | null
  /** an error against a nominal: both signs occur and are written */
  readonly signed: boolean
}

/** About as many round numbers across a scale. */
const TICKS = 6

export interface GaugeScale {
  readonly min: number
  readonly max: number
  readonly ticks: readonly number[]
}

/** Room around the window, in window widths, so that the approach to it can be seen. */
const MARGIN = 1.2

/**
 * A scale that holds window and values and does not jump while a trimmer is turned: it grows in doublings
 * only.
 * @returns null when there is nothing to show
 */
export function gaugeScale(v: GaugeValues): GaugeScale | null {
  const known = [v.low, v.high, v.aim, v.asFound, v.now].filter(
    x => x !== null && Number.isFinite(x),
  ) as number[]
  if (known.length === 0) return null
  const centre = windowCentre(v) ?? known[0]!
  const half = windowHalf(v, centre)
  const reach = Math.max(...known.map(k => Math.abs(k - centre)))
  const doublings = Math.max(0, Math.ceil(Math.log2(Math.max(reach * 1.08, 1e-30) / (half * (1 + MARGIN)))))
  const span = half * (1 + MARGIN) * 2 ** doublings
  const floor = v.signed ? centre - span : Math.max(0, centre - span)
  const max = centre + span
  return { min: floor, max, ticks: ticks(floor, max, TICKS) }
}

function windowCentre(v: GaugeValues): number | null {
  if (v.low !== null && v.high !== null) return (v.low + v.high) / 2
  return v.aim ?? v.high ?? v.low
}

function windowHalf(v: GaugeValues, centre: number): number {
  if (v.low !== null && v.high !== null && v.high > v.low) return (v.high - v.low) / 2
  return Math.abs(centre) * 0.25 || 1
}
