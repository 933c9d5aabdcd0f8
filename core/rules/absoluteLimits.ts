import {
  powerDb,
  dbToPowerRatio,
  expandedUncertainty,
  wattsToDbm,
  type Bound,
  type Measured,
  type Quantity,
} from '../quantity'
import type { Undecided, Verdict } from './judge'
import type { RuleLimit, RuleSet } from './ruleSet'

/** A limit in watts on what is read below the carrier: it takes the carrier of the same row to judge it. */
export interface AbsoluteLimit {
  readonly id: string
  readonly quantity: Extract<Quantity, 'harmonicDbc' | 'adjacentDbc'>
  readonly maxW: number
  readonly confidence: RuleLimit['confidence']
}

/**
 * Bands in which spurious limits are stricter: broadcast and others [Hz] (ETSI EN 300 433, from memory:
 * check the current text).
 */
export const PROTECTED_HZ: readonly (readonly [number, number])[] = [
  [47e6, 74e6],
  [87.5e6, 118e6],
  [174e6, 230e6],
  [470e6, 862e6],
]
/**
 * Limits of a rule set that are written in watts, for a carrier.
 *
 * @param carrierHz Decides whether its second harmonic falls into a protected band
 */
export function absoluteLimits({ spurious, adjacent }: RuleSet, carrierHz: number): AbsoluteLimit[] {
  const isProtected = PROTECTED_HZ.some(([from, to]) => carrierHz * 2 >= from && carrierHz * 2 <= to)
  const out: AbsoluteLimit[] = []
  if (spurious) {
    const { id, confidence } = spurious
    const maxW = isProtected ? spurious.protectedMaxW : spurious.otherMaxW
    out.push({ id, quantity: 'harmonicDbc', maxW, confidence })
  }
  if (adjacent) {
    const { id, maxW, confidence } = adjacent
    out.push({ id, quantity: 'adjacentDbc', maxW, confidence })
  }
  return out
}

/** A level below the carrier made absolute. */
export interface AbsoluteLevel {
  readonly powerW: number
  readonly dbm: number
  readonly boundDb: number | null
  readonly verdict: Verdict
  /** why it cannot be decided; null = it is */
  readonly undecided: Undecided | null
  readonly overDb: number
}

/**
 * dBm from dBc and the carrier, judged with a guard band.
 * @param level below the carrier [dBc]; an at-most reading is a level that is not passed
 * @param carrier mean power without modulation [W], > 0
 * Source: powers multiply, so decibels add; the two bounds add as bounds of independent instruments in
 * squares.
 * @example 4 W and -60 dBc are -24 dBm: 30 dB above 4 nW
 */
export function absoluteLevel(level: Measured, carrier: Measured, limit: AbsoluteLimit): AbsoluteLevel {
  const powerW = carrier.value * dbToPowerRatio(level.value)
  const dbm = wattsToDbm(powerW)
  const overDb = dbm - wattsToDbm(limit.maxW)
  const boundDb = boundOf(level, carrier)
  const bounds = [level.bound, carrier.bound]
  const verdict = verdictOf(bounds, overDb, boundDb ?? Infinity)
  const undecided = verdict === 'cannot-tell' ? undecidedBy(bounds, overDb, boundDb) : null
  return { powerW, dbm, boundDb, overDb, verdict, undecided }
}

type Bounds = readonly (Bound | undefined)[]

/** Where level or carrier is at least what was read, so is the power; the same for at most. */
function verdictOf(bounds: Bounds, overDb: number, boundDb: number): Verdict {
  if (!bounds.includes('at-least') && overDb + boundDb <= 0) return 'inside'
  return !bounds.includes('at-most') && overDb - boundDb > 0 ? 'above' : 'cannot-tell'
}

function undecidedBy(bounds: Bounds, overDb: number, boundDb: number | null): Undecided {
  if (boundDb === null) return 'unknown'
  return verdictOf(bounds, overDb, 0) === 'cannot-tell' ? 'bound' : 'uncertainty'
}

function boundOf(level: Measured, carrier: Measured): number | null {
  const [levelDb, carrierW] = [expandedUncertainty(level), expandedUncertainty(carrier)]
  if (levelDb === null || carrierW === null) return null
  return Math.hypot(levelDb, powerDb(1 + carrierW / carrier.value))
}
