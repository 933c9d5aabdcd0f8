import { expandedUncertainty, powerRatioToDb, type Reading } from '../quantity'
import type { ModelSheet, PowerControl } from '../sheet'
import { physicalDifferences, type Difference } from './comparability'
import type { TakenReading } from './takenReading'

/**
 * What one meter reads again at the same power differs by less [ratio] (common practice; half a division of
 * a scale read by eye).
 */
const REPEATABILITY = 0.02
/** What a control is meant to change, and what nobody wrote down, does not forbid to compare its ends. */
const MAY_DIFFER: readonly Difference['kind'][] = ['power-switch', 'setting', 'unknown']

/** What a power control reaches, by the readings at its two ends. */
export interface PowerRange {
  readonly name: string
  /** null = this end was not read */
  readonly lowest: Reading | null
  readonly highest: Reading | null
  /** from the lowest end to the highest [dB]; null = it cannot be said */
  readonly spanDb: number | null
  /**
   * 'none' = both ends read alike; 'reversed' = more at the lowest end; null = it cannot be said: an end was
   * not read, lies beyond a scale, or was read by a meter that is not the same or not named, or under
   * another supply or load
   */
  readonly effect: 'works' | 'none' | 'reversed' | null
}

/**
 * The range of each power control of a sheet.
 * @param powerAt the power that was read in a row of the matrix; null = none, or struck out
 * @returns one for each control of which an end was read
 */
export function powerRanges(
  { powerControls = [] }: Pick<ModelSheet, 'powerControls'>,
  powerAt: (pointId: string) => TakenReading | null,
): PowerRange[] {
  return powerControls
    .map(c => rangeOf(c, powerAt(c.lowestPointId), powerAt(c.highestPointId)))
    .filter(r => r.lowest !== null || r.highest !== null)
}

function rangeOf(
  { name }: PowerControl,
  lowest: TakenReading | null,
  highest: TakenReading | null,
): PowerRange {
  const ends = { name, lowest: lowest?.reading ?? null, highest: highest?.reading ?? null }
  if (!lowest || !highest || !comparable(lowest, highest)) return { ...ends, spanDb: null, effect: null }
  const [low, high] = [lowest.reading, highest.reading]
  const spanDb = low.value > 0 && high.value > 0 ? powerRatioToDb(high.value / low.value) : null
  return { ...ends, spanDb, effect: effectOf(low, high) }
}

/** Errors of one meter go into both ends alike; where no more is read than it may err by, nothing is said. */
function effectOf(low: Reading, high: Reading): PowerRange['effect'] {
  const most = low.value > high.value ? low : high
  if (most.value <= (expandedUncertainty(most) ?? 0)) return null
  if (Math.abs(high.value - low.value) <= REPEATABILITY * most.value) return 'none'
  return high.value > low.value ? 'works' : 'reversed'
}

function comparable(a: TakenReading, b: TakenReading): boolean {
  return (
    a.reading.bound === undefined &&
    b.reading.bound === undefined &&
    a.reading.instrument !== null &&
    a.reading.instrument === b.reading.instrument &&
    physicalDifferences(a.row.conditions, b.row.conditions).every(d => MAY_DIFFER.includes(d.kind))
  )
}
