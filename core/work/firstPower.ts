import { validEvents, type JobEvent, type PowerTried } from '../run'
import { kindInfo, type ModelSheet } from '../sheet'

/** Healthy idle current lies within this of the sheet's range (common practice: 30 %). */
const IDLE_TOLERANCE = 0.3
/** First key-down: limit raised to the transmit current times this (common practice). */
const KEYED_MARGIN = 1.3

export interface FirstPowerPlan {
  readonly limitA: number
  readonly idleA: { readonly low: number; readonly high: number }
  readonly keyedLimitA: number
}

/**
 * What to set on the supply before the switch, and what to expect. A set that idles higher gets room above
 * its idle current.
 */
export function firstPowerPlan(sheet: ModelSheet): FirstPowerPlan {
  const { low, high } = sheet.idleA
  const widened = { low: low * (1 - IDLE_TOLERANCE), high: high * (1 + IDLE_TOLERANCE) }
  return {
    limitA: Math.max(kindInfo(sheet.kind).firstLimitA, widened.high * 1.2),
    idleA: widened,
    keyedLimitA: sheet.keyedA.high * KEYED_MARGIN,
  }
}

export type PowerVerdict = 'go-on' | 'above' | 'below' | 'parts-out' | 'stop'

/** Parts that were out of circuit during a try. */
export const partsOut = (tried: Pick<PowerTried, 'partsOut'>): readonly string[] => tried.partsOut ?? []

/**
 * Whether the set may stay on: at the limit, rising or with smoke it is switched off at once. With parts out
 * of circuit a current says nothing of the set as it will be keyed.
 */
export function powerVerdict(
  sheet: ModelSheet,
  tried: Pick<PowerTried, 'seen' | 'idleA' | 'partsOut'>,
): PowerVerdict {
  if (tried.seen !== 'normal') return 'stop'
  const { idleA } = firstPowerPlan(sheet)
  if (tried.idleA !== null && tried.idleA > idleA.high) return 'above'
  if (partsOut(tried).length > 0) return 'parts-out'
  if (tried.idleA === null) return 'go-on'
  return tried.idleA < idleA.low ? 'below' : 'go-on'
}

export function lastPower(events: readonly JobEvent[]): PowerTried | null {
  return validEvents(events).findLast(e => e.kind === 'power-tried') ?? null
}

/**
 * What first power says to the question about the idle current.
 * @returns null = nothing: smoke is no current, one that is too low is no answer to it, parts were out
 */
export function idleOutcome(sheet: ModelSheet, tried: PowerTried): 'right' | 'high' | 'at-limit' | null {
  if (partsOut(tried).length > 0) return null
  if (tried.seen === 'limit') return 'at-limit'
  if (tried.seen === 'rising') return 'high'
  const verdict = powerVerdict(sheet, tried)
  if (verdict === 'above') return 'high'
  return verdict === 'go-on' ? 'right' : null
}

/**
 * When the limit is hit: devices out from the output backwards, one at a time; which step proves which device
 * (common practice).
 */
export const ISOLATION_ORDER: readonly { readonly doThis: string; readonly proves: string }[] = [
  {
    doThis: 'Supply off. Measure the resistance of the supply input, both polarities.',
    proves: 'near zero both ways: polarity diode, or a hard short behind it',
  },
  {
    doThis: 'Disconnect the final\u2019s supply side; switch on again with the limit low.',
    proves: 'current falls: suspect the final',
  },
  {
    doThis: 'Disconnect the driver\u2019s supply side; switch on again.',
    proves: 'current falls: suspect the driver',
  },
  { doThis: 'Lift the series regulator; switch on again.', proves: 'current falls: suspect the regulator' },
  {
    doThis: 'Test the suspected part, then bring the rest back to its healthy idle current.',
    proves: 'normal idle current: the short is isolated; set the bias before the first key-down',
  },
]
