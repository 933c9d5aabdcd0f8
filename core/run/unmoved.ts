import type { Reading } from '../quantity'
import { adjusterOf, topicOf, GOES_STALE, twins, type ModelSheet } from '../sheet'
import { physicalDifferences } from './comparability'
import type { History } from './history'
import { isFrequency } from './inferredTurns'
import type { StepState } from './stepState'
import type { TakenReading } from './takenReading'

/**
 * Change that no hand makes on purpose: of a frequency 0.05 ppm, about 1 Hz at 27 MHz; of anything else what
 * a needle cannot show (from memory) [ratio].
 */
const STAYED_RATIO = { frequency: 0.05e-6, other: 0.002 }

/** An adjuster that was said to be turned, and a reading that did not follow. */
export interface Unmoved {
  readonly designator: string
  readonly reading: Reading
  /** put back to its mark since */
  readonly isReturned: boolean
  /** of the same kind beside it, the nearest first */
  readonly twins: readonly string[]
}

/**
 * Whether the one adjuster of a step was turned without effect: at its stop, without contact, or not what
 * the sheet takes it for. A step that is within its tolerance asks nothing.
 * @returns null = it moved, or the two readings do not compare
 */
export function unmoved(sheet: ModelSheet, state: StepState, past: History): Unmoved | null {
  const { step, wants } = state
  const [designator] = step.adjusters
  if (!designator || step.adjusters.length > 1) return null
  const adjuster = adjusterOf(sheet, designator)
  if (adjuster.kind === 'menu-value' || adjuster.kind === 'control') return null
  const said = past.turns.filter(t => t.designator === designator && !t.inferred)
  const turn = said.findLast(t => !t.isReturned)
  const off = wants.find(
    w =>
      (w.judgement?.verdict === 'above' || w.judgement?.verdict === 'below') &&
      GOES_STALE[adjuster.role].topics.includes(topicOf(w.want.quantity, w.point.state)),
  )
  const now = off?.latest
  if (!turn || !now || now.order < turn.order) return null
  // Back at its mark before it was read again, nothing had to follow.
  if (said.some(t => t.isReturned && t.order > turn.order && t.order < now.order)) return null
  const before = past.readings.findLast(
    t =>
      t.struck === null &&
      t.order < turn.order &&
      t.row.stepId === step.id &&
      t.row.pointId === off.point.id &&
      t.reading.quantity === off.want.quantity,
  )
  if (!before || !stayed(before, now)) return null
  return {
    designator,
    reading: now.reading,
    isReturned: said.at(-1)!.isReturned === true,
    twins: twins(sheet, adjuster).map(a => a.designator),
  }
}

function stayed(before: TakenReading, now: TakenReading): boolean {
  if (before.reading.bound || now.reading.bound) return false
  if (physicalDifferences(before.row.conditions, now.row.conditions).some(d => d.kind !== 'unknown'))
    return false
  const ratio = isFrequency(now.reading.quantity) ? STAYED_RATIO.frequency : STAYED_RATIO.other
  return Math.abs(now.reading.value - before.reading.value) <= ratio * Math.abs(now.reading.value)
}
