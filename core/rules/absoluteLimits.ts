import { dbToPowerRatio, expandedUncertainty, wattsToDbm, type Measured, type Quantity } from '../quantity'
import type { Verdict } from './judge'
import { ADJACENT_MOST_W } from './masks'
import type { Confidence } from './ruleSet'

/** A limit in watts on what is read below the carrier: it takes the carrier of the same row to judge it. */
export interface AbsoluteLimit {
  readonly id: string
  readonly quantity: Extract<Quantity, 'harmonicDbc' | 'adjacentDbc'>
  readonly mostW: number
  readonly words: string
  readonly confidence: Confidence
}

/** Bands in which R-EU8 and R-UK7 are stricter: broadcast and others [Hz]. */
const PROTECTED_HZ: readonly (readonly [number, number])[] = [
  [47e6, 74e6],
  [87.5e6, 118e6],
  [174e6, 230e6],
  [470e6, 862e6],
]
/**
 * Spurious limits inside and outside of the protected bands [W]: ETSI EN 300 433, MPT 1320 (from memory:
 * check the current text).
 */
const SPURIOUS_W: Readonly<
  Record<
    string,
    {
      readonly id: string
      readonly inside: number
      readonly outside: number
      readonly confidence: Confidence
    }
  >
> = {
  'R-EU': { id: 'R-EU8', inside: 4e-9, outside: 0.25e-6, confidence: 'M' },
  'R-UK27': { id: 'R-UK7', inside: 50e-9, outside: 0.25e-6, confidence: 'L-M' },
}

/**
 * Limits of a rule set that are written in watts, for a carrier.
 * @param carrierHz decides whether its second harmonic falls into a protected band
 */
export function absoluteLimits(ruleSetId: string, carrierHz: number): AbsoluteLimit[] {
  const spurious = SPURIOUS_W[ruleSetId]
  const adjacent = ADJACENT_MOST_W[ruleSetId]
  const isProtected = PROTECTED_HZ.some(([from, to]) => carrierHz * 2 >= from && carrierHz * 2 <= to)
  const out: AbsoluteLimit[] = []
  if (spurious) {
    const mostW = isProtected ? spurious.inside : spurious.outside
    const words = `second harmonic ${mostW < 1e-7 ? `${mostW * 1e9} nW` : `${mostW * 1e6} µW`} max.`
    out.push({ id: spurious.id, quantity: 'harmonicDbc', mostW, words, confidence: spurious.confidence })
  }
  if (adjacent) {
    const [id] = adjacent.words.split(':')
    out.push({
      id: id!,
      quantity: 'adjacentDbc',
      mostW: adjacent.watts,
      words: `adjacent channel ${adjacent.watts * 1e6} µW max.`,
      confidence: 'M',
    })
  }
  return out
}

/** A level below the carrier made absolute. */
export interface AbsoluteLevel {
  readonly powerW: number
  readonly dbm: number
  readonly boundDb: number | null
  readonly verdict: Verdict
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
  const overDb = dbm - wattsToDbm(limit.mostW)
  const boundDb = boundOf(level, carrier)
  const below = overDb + (boundDb ?? Infinity) <= 0
  const above = level.bound !== 'at-most' && overDb - (boundDb ?? Infinity) > 0
  const outside = above ? 'above' : 'cannot-tell'
  return { powerW, dbm, boundDb, overDb, verdict: below ? 'inside' : outside }
}

function boundOf(level: Measured, carrier: Measured): number | null {
  const [levelDb, carrierW] = [expandedUncertainty(level), expandedUncertainty(carrier)]
  if (levelDb === null || carrierW === null) return null
  return Math.hypot(levelDb, 10 * Math.log10(1 + carrierW / carrier.value))
}
