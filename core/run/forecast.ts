import { errorBound, type Accuracy } from '../quantity'
import { RESOLVING_SHARE, acceptanceZone, coarsestUseful, type Zone, type ZoneSides } from '../rules'
import { decidingRange } from './decidingRange'
import type { Requirement } from './judgeReading'

/** What the connected instrument can decide about a wanted number, told before keying. */
export interface Forecast {
  /** readings that would be accepted; null = none, whatever the set does */
  readonly zone: Zone | null
  /** false: its bound exceeds a third of the workshop window */
  readonly resolves: boolean
  /** accuracy of reading that would leave a zone [ratio]; null when any would */
  readonly neededOfReading: number | null
}

/**
 * @param question target and limit of the wanted number
 * @param accuracy of the instrument that would read it
 * @returns null when nothing is asked
 */
export function forecast(question: Requirement, accuracy: Accuracy): Forecast | null {
  const sides = zoneSides(question)
  if (sides.low === null && sides.high === null) return null
  const { window } = question
  const typical = window?.aim ?? sides.high ?? sides.low!
  const width = window && window.low !== null && window.high !== null ? window.high - window.low : Infinity
  return {
    zone: acceptedBy(question, accuracy),
    resolves: errorBound(typical, accuracy) <= width * RESOLVING_SHARE,
    neededOfReading: coarsestUseful(sides),
  }
}

/** Readings that pass the window by plain acceptance and the legal limit with its guard band. */
function acceptedBy({ window, limit }: Requirement, accuracy: Accuracy): Zone | null {
  const guarded = limit?.kind === 'legal'
  const plain = acceptanceZone(
    { low: window?.low ?? null, high: window?.high ?? null, guardLow: false, guardHigh: false },
    accuracy,
  )
  const lawful = acceptanceZone(
    { low: limit?.low ?? null, high: limit?.high ?? null, guardLow: guarded, guardHigh: guarded },
    accuracy,
  )
  if (!plain || !lawful) return null
  const both = decidingRange({
    window: { ...plain, aim: null },
    nominalHz: null,
    limit: limit ? { ...limit, ...lawful } : null,
  })
  return both.low !== null && both.high !== null && both.low > both.high ? null : both
}

/** The stricter bound of each side, and whether it is a legal one, which is guarded. */
export function zoneSides(question: Requirement): ZoneSides {
  const { low, high } = decidingRange(question)
  const { limit } = question
  const guarded = limit?.kind === 'legal'
  return {
    low,
    high,
    guardLow: guarded && limit.low !== null && low === limit.low,
    guardHigh: guarded && limit.high !== null && high === limit.high,
  }
}
