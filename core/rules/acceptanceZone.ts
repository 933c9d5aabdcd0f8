import { errorBound, type Accuracy } from '../quantity'

/** An interval of readings; a guarded side is a legal limit, an unguarded one a workshop tolerance. */
export interface ZoneSides {
  readonly low: number | null
  readonly high: number | null
  readonly guardLow: boolean
  readonly guardHigh: boolean
}

export interface Zone {
  readonly low: number | null
  readonly high: number | null
}

/**
 * Readings that would be accepted, told before keying.
 *
 * @param sides window and limits combined [SI]
 * @param accuracy of the instrument that would read it
 * @returns the readings that pass on both sides, or null when the instrument leaves none
 * Source: guard band as in {@link judge}. The bound grows linearly with the reading, so each edge is solved
 * exactly.
 * @example acceptanceZone({ low: 3.6, high: 4, guardLow: true, guardHigh: true }, { ofReading: 0.05 }) // =>
 * 3.789 .. 3.810
 */
export function acceptanceZone(sides: ZoneSides, accuracy: Accuracy): Zone | null {
  const constant = errorBound(0, accuracy)
  const slope = accuracy.ofReading ?? 0
  const guarded = (limit: number, side: 1 | -1) =>
    edge(limit + side * constant, 1 - side * Math.sign(limit) * slope)
  const low = sides.low !== null && sides.guardLow ? guarded(sides.low, 1) : sides.low
  const high = sides.high !== null && sides.guardHigh ? guarded(sides.high, -1) : sides.high
  if (low !== null && high !== null && low > high) return null
  return { low, high }
}

/** r with r x factor = limit; a factor of zero or less means that the bound outruns the reading. */
function edge(limit: number, factor: number): number {
  return factor > 0 ? limit / factor : Infinity
}

/**
 * The coarsest accuracy, of the reading, with which an acceptance zone exists at all.
 * @returns ratio, or null when both sides are plain or one is open (any instrument leaves a zone)
 */
export function coarsestUseful(sides: ZoneSides): number | null {
  const { low, high, guardLow, guardHigh } = sides
  if (low === null || high === null || low <= 0 || (!guardLow && !guardHigh)) return null
  if (guardLow && guardHigh) return (high - low) / (high + low)
  return guardHigh ? high / low - 1 : 1 - low / high
}
