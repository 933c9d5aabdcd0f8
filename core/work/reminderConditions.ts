import { message } from '../message'
import { CoreError } from '../errors'
import type { Quantity } from '../quantity'
import type { RowState } from '../run'

/** What a reminder can wait for: a quantity whose judged reading is not inside, or the next visit. */
export interface ReminderCondition {
  readonly id: string
  readonly words: string
  readonly quantities: readonly Quantity[]
}

/** Not of this job: planned for when the set is here again. */
export const NEXT_VISIT = 'next-visit'

export const REMINDER_CONDITIONS: readonly ReminderCondition[] = [
  {
    id: 'spectrum',
    words: 'if adjacent channels or harmonics are outside their limits',
    quantities: ['adjacentDbc', 'harmonicDbc'],
  },
  { id: 'power', words: 'if power is outside its limits', quantities: ['powerW', 'pepW'] },
  { id: 'frequency', words: 'if frequency is outside its limits', quantities: ['carrierHz', 'referenceHz'] },
  {
    id: 'modulation',
    words: 'if depth or deviation is outside its limits',
    quantities: ['depthNegativeRatio', 'depthPositiveRatio', 'deviationPositiveHz', 'deviationNegativeHz'],
  },
  {
    id: 'receiver',
    words: 'if the receiver is outside its limits',
    quantities: ['sensitivityV', 'audibleV', 'sinadDb', 'sMeter'],
  },
  { id: NEXT_VISIT, words: 'when the set is here again', quantities: [] },
]

/** @throws {CoreError} unknown-condition */
export function conditionOf(id: string): ReminderCondition {
  const found = REMINDER_CONDITIONS.find(c => c.id === id)
  if (!found) throw new CoreError('unknown-condition', message('error.noCondition', { id }))
  return found
}

/**
 * True when the latest judged reading of one of its quantities is outside; a reading that cannot be told is
 * not clean either.
 */
export function isTrue(
  condition: ReminderCondition,
  asFound: readonly RowState[],
  asLeft: readonly RowState[],
): boolean {
  return asFound.some((row, i) =>
    row.cells.some((cell, j) => {
      if (!condition.quantities.includes(cell.want.quantity)) return false
      const judgement = asLeft[i]?.cells[j]?.judgement ?? cell.judgement
      return judgement !== null && judgement.verdict !== 'inside'
    }),
  )
}
