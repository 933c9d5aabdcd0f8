import { errorBound, type Accuracy } from '../quantity'
import { acceptanceZone, coarsestUseful, type Zone, type ZoneSides } from '../rules'
import type { Asked } from './judgeReading'

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
export function forecast(question: Asked, accuracy: Accuracy): Forecast | null {
  const sides = zoneSides(question)
  if (sides.low === null && sides.high === null) return null
  const { window } = question
  const typical = window?.aim ?? sides.high ?? sides.low!
  const width = window && window.low !== null && window.high !== null ? window.high - window.low : Infinity
  return {
    zone: acceptanceZone(sides, accuracy),
    resolves: errorBound(typical, accuracy) <= width / 3,
    neededOfReading: coarsestUseful(sides),
  }
}

/** The stricter bound of each side; legal ones are guarded. */
export function zoneSides({ window, limit }: Asked): ZoneSides {
  const guarded = limit?.kind === 'legal'
  const low = stricter(window?.low ?? null, limit?.low ?? null, Math.max)
  const high = stricter(window?.high ?? null, limit?.high ?? null, Math.min)
  return {
    low, high,
    guardLow: guarded && limit.low !== null && low === limit.low,
    guardHigh: guarded && limit.high !== null && high === limit.high,
  }
}

function stricter(a: number | null, b: number | null, pick: (...v: number[]) => number): number | null {
  if (a === null) return b
  return b === null ? a : pick(a, b)
}
