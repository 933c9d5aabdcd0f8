import { expandedUncertainty, type Quantity, type Reading } from '../quantity'
import { GOES_STALE, adjusterOf, kindInfo, topicOf, type ModelSheet, type Step } from '../sheet'
import { physicalDifferences } from './comparability'
import type { JobEvent, RowTaken } from './jobEvent'

/**
 * Repeatability that is taken for granted where no instrument was named (common practice): of reading
 * [ratio].
 */
const UNKNOWN_REPEATABILITY = 0.02
const UNKNOWN_FREQUENCY_RATIO = 1e-6
/**
 * Fastest drift that a set shows by itself [1/min]: 20 Hz a minute at 27 MHz when warm, 120 cold (from
 * memory).
 */
const DRIFT_RATIO_PER_MIN = { warm: 0.75e-6, cold: 4.5e-6 }
const FREQUENCIES: readonly Quantity[] = ['carrierHz', 'referenceHz']
export const isFrequency = (quantity: Quantity): boolean => FREQUENCIES.includes(quantity)

/** A reading in its row. */
export interface InRow {
  readonly reading: Reading
  readonly row: RowTaken
}

/** A reading that moved although nobody said that anything was turned: asked about once. */
export interface TurnQuestion {
  readonly rowId: string
  readonly stepId: string
  readonly atMs: number
  /** adjusters of the step that move this quantity; which of them it was is not known */
  readonly designators: readonly string[]
  readonly quantity: Quantity
  readonly before: number
  readonly now: number
  /**
   * true = more than drift and noise explain: counts as a turn until it is answered; false = could be drift
   */
  readonly inferred: boolean
}

/** Adjusters that were turned before a row, by row, according to its answer. */
export function answeredTurns(events: readonly JobEvent[]): ReadonlyMap<string, readonly string[]> {
  return new Map(events.flatMap(e => (e.kind === 'turn-answered' ? [[e.rowId, e.designators] as const] : [])))
}

/**
 * Whether the readings of a row moved since the last ones of the same place under the same conditions.
 * @param told entry of a menu whose value the row itself holds: nothing is to be asked of it
 * @param previousOf the last reading that counts and is not stale of the same step, point and quantity
 * @returns null when nothing moved beyond what the instruments can tell
 */
export function turnQuestion(
  sheet: ModelSheet,
  step: Step,
  row: RowTaken,
  told: string | null,
  previousOf: (reading: Reading) => InRow | null,
): TurnQuestion | null {
  let found: TurnQuestion | null = null
  for (const reading of row.readings) {
    const designators = movers(sheet, step, reading.quantity, row).filter(d => d !== told)
    const previous = designators.length === 0 ? null : previousOf(reading)
    const moved = previous && movedBy(previous, { reading, row }, kindInfo(sheet.kind).warmUpS)
    if (!moved || (found?.inferred && moved === 'like-drift')) continue
    found = {
      rowId: row.id,
      stepId: step.id,
      atMs: row.atMs,
      designators,
      quantity: reading.quantity,
      before: previous.reading.value,
      now: reading.value,
      inferred: moved === 'beyond',
    }
  }
  return found
}

function movers(sheet: ModelSheet, step: Step, quantity: Quantity, row: RowTaken): string[] {
  const topic = topicOf(quantity, row.conditions)
  return step.adjusters.filter(d => GOES_STALE[adjusterOf(sheet, d).role].topics.includes(topic))
}

function movedBy(before: InRow, now: InRow, warmUpS: number): 'beyond' | 'like-drift' | null {
  // A needle at its stop says on one side only where it is.
  if (before.reading.bound || now.reading.bound) return null
  if (physicalDifferences(before.row.conditions, now.row.conditions).some(d => d.kind !== 'unknown'))
    return null
  const change = Math.abs(now.reading.value - before.reading.value)
  const noise = Math.hypot(noiseOf(before.reading), noiseOf(now.reading))
  if (change <= noise) return null
  return change <= noise + driftAllowance(before, now, warmUpS) ? 'like-drift' : 'beyond'
}

function noiseOf(reading: Reading): number {
  const { quantity, value } = reading
  const expanded = expandedUncertainty(reading)
  if (expanded !== null) return expanded
  return Math.abs(value) * (isFrequency(quantity) ? UNKNOWN_FREQUENCY_RATIO : UNKNOWN_REPEATABILITY)
}

function driftAllowance(before: InRow, now: InRow, warmUpS: number): number {
  if (!isFrequency(now.reading.quantity)) return 0
  const isWarm = (before.row.conditions.onTimeS ?? 0) >= warmUpS
  const minutes = Math.abs(now.row.atMs - before.row.atMs) / 60_000
  return now.reading.value * (isWarm ? DRIFT_RATIO_PER_MIN.warm : DRIFT_RATIO_PER_MIN.cold) * minutes
}
