import type { Measured, Quantity } from '../quantity'
import {
  judge,
  limitFor,
  type Judgement,
  type Mode,
  type ResolvedLimit,
  type RuleSet,
  type Window,
} from '../rules'
import { resolveTarget, type ModelSheet, type ReadingOf, type Want } from '../sheet'

/** What is asked of one reading, made absolute for its conditions. */
export interface Asked {
  readonly window: Window | null
  readonly nominalHz: number | null
  readonly limit: ResolvedLimit | null
}

export interface AskedConditions {
  readonly channel: number | null
  readonly lowPower: boolean
  readonly mode: Mode
}

const NO_READINGS: ReadingOf = () => undefined

/**
 * Target and limit of one wanted number.
 * @throws {CoreError} unknown-channel
 */
export function asked(
  sheet: ModelSheet,
  rules: RuleSet,
  want: Want,
  at: AskedConditions,
  readingOf: ReadingOf = NO_READINGS,
): Asked {
  const target = want.target ? resolveTarget(want.target, sheet.planId, at.channel, readingOf) : null
  const limit =
    want.judgeLimit && hasChannelFor(want.quantity, at)
      ? limitFor(rules, want.quantity, {
          planId: sheet.planId,
          channel: at.channel,
          lowPower: at.lowPower,
          mode: at.mode,
        })
      : null
  return { window: target?.window ?? null, nominalHz: target?.nominalHz ?? null, limit }
}

/** A frequency without a channel cannot be held against a channel's limit. */
function hasChannelFor(quantity: Quantity, at: AskedConditions): boolean {
  return quantity !== 'carrierHz' || at.channel !== null
}

export function judgeAsked(measured: Measured, question: Asked): Judgement {
  return judge(measured, question.window, question.limit)
}
