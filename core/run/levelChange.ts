import { figureOf, powerRatioToDb, relativeBound, voltageRatioToDb, type Quantity } from '../quantity'
import { isUnmodulated } from '../sheet'
import type { ComparedCell } from './matrixState'
import type { TakenReading } from './takenReading'

/** How much more there is than before, or of a receiver how much weaker a signal it hears [dB]. */
export interface LevelChange {
  readonly db: number
  /** a change below this cannot be told from none [dB]; null = the accuracy of a reading is not known */
  readonly boundDb: number | null
}

const LEVELS: Partial<Record<Quantity, { toDb: (ratio: number) => number; isLessBetter?: boolean }>> = {
  powerW: { toDb: powerRatioToDb },
  deviationPositiveHz: { toDb: voltageRatioToDb },
  deviationNegativeHz: { toDb: voltageRatioToDb },
  sensitivityV: { toDb: voltageRatioToDb, isLessBetter: true },
  audibleV: { toDb: voltageRatioToDb, isLessBetter: true },
}

/** Whether less of it is more: a sensitivity in volts. */
export const isLessBetter = (quantity: Quantity): boolean => LEVELS[quantity]?.isLessBetter === true

/**
 * Change of a level between as found and as left: carrier power, deviation, sensitivity. Not of power under
 * modulation, nor of PEP: a crest that was clipped before is no level to compare with.
 * @returns null where the two may not stand side by side, or one of them is a bound, stale, or no level
 */
export function levelChange({ point, want, before, after, differences }: ComparedCell): LevelChange | null {
  const level = LEVELS[want.quantity]
  const [a, b] = [before.latest, after.latest]
  if (!level || !a || !b || differences === null || differences.length > 0) return null
  if (want.quantity === 'powerW' && !(point.state.keyed && isUnmodulated(point.state))) return null
  if (!isLevel(a) || !isLevel(b) || b.staleBy.length > 0) return null
  const db = level.toDb(b.reading.value / a.reading.value)
  const share = relativeBound([a.reading, a.reading.value], [b.reading, b.reading.value])
  const boundDb = share === null ? null : level.toDb(1 + share)
  return { db: level.isLessBetter ? -db : db, boundDb }
}

const isLevel = ({ reading }: TakenReading) => figureOf(reading) !== null
