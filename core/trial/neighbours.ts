import type { Bound } from '../quantity'
import { absoluteLevel, type AbsoluteLevel, type RuleSet } from '../rules'
import { carrierOf, readIn, type Trial } from './trials'

/** The strongest line beside the channel in watts, against the limit of a rule set. */
export interface Neighbours {
  readonly kind: 'neighbours'
  readonly limitId: string
  readonly maxW: number
  readonly level: AbsoluteLevel
  /** the line was read as a bound; undefined = a value */
  readonly bound: Bound | undefined
}

/**
 * One line below the bare carrier, made absolute. A neighbouring channel holds at least its strongest line,
 * so that one above the limit proves it and one below it does not.
 */
export function neighbours(trial: Trial, { adjacent }: RuleSet): Neighbours[] {
  const [level, carrier] = [readIn(trial, 'adjacentDbc'), carrierOf(trial, 'powerW')]
  if (!adjacent || !level || !carrier) return []
  const { id, maxW, confidence } = adjacent
  const limit = { id, quantity: 'adjacentDbc' as const, maxW, confidence }
  return [
    {
      kind: 'neighbours',
      limitId: id,
      maxW,
      bound: level.bound,
      level: absoluteLevel(level, carrier, limit),
    },
  ]
}
