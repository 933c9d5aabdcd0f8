import { message } from '../message'
import { CoreError } from '../errors'
import type { Quantity } from '../quantity'
import type { ComparedCell, TakenReading } from '../run'
import type { MeasurePoint } from '../sheet'

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

/** The reading that makes a condition true, or of which it cannot be told. */
export interface MadeTrueBy {
  readonly verdict: 'outside' | 'cannot-tell'
  readonly point: MeasurePoint
  readonly taken: TakenReading
}

/**
 * What makes a condition true: the latest judged reading of one of its quantities that is outside; where none
 * is, one that cannot be told is not clean either.
 * @param compared as found beside as left: the later reading speaks where there is one; a row that a
 * converted set has no more says nothing of it
 */
export function madeTrueBy(
  { quantities }: ReminderCondition,
  compared: readonly ComparedCell[],
): MadeTrueBy | null {
  const found = compared
    .filter(c => quantities.includes(c.want.quantity) && !c.isGone)
    .flatMap((c): MadeTrueBy[] => {
      const { latest, judgement } = c.after.latest ? c.after : c.before
      if (!latest || !judgement || judgement.verdict === 'inside') return []
      // What was turned since may have cured it, or not.
      const isTold = judgement.verdict !== 'cannot-tell' && latest.staleBy.length === 0
      const verdict = isTold ? 'outside' : 'cannot-tell'
      return [{ verdict, point: c.point, taken: latest }]
    })
  return found.find(m => m.verdict === 'outside') ?? found[0] ?? null
}
