import type { Measured, Quantity } from '../quantity'
import {
  judge,
  limitFor,
  planOf,
  type Judgement,
  type Mode,
  type ResolvedLimit,
  type RuleSet,
  type Window,
} from '../rules'
import { resolveTarget, type ModelSheet, type ReadingOf, type Measurand } from '../sheet'

/** What is asked of one reading, made absolute for its conditions. */
export interface Requirement {
  readonly window: Window | null
  readonly nominalHz: number | null
  readonly limit: ResolvedLimit | null
}

export interface RequirementConditions {
  readonly channel: number | null
  readonly lowPower: boolean
  readonly powerPosition?: string
  readonly mode: Mode
}

const NO_READINGS: ReadingOf = () => undefined

/**
 * Target and limit of one measurand.
 * @throws {CoreError} unknown-channel
 */
export function requirementOf(
  sheet: ModelSheet,
  rules: RuleSet,
  want: Measurand,
  at: RequirementConditions,
  readingOf: ReadingOf = NO_READINGS,
): Requirement {
  const plan = planOf(sheet)
  const target = want.target ? resolveTarget(want.target, plan, at.channel, readingOf) : null
  const limit =
    want.judgeLimit && hasChannelFor(want.quantity, at)
      ? limitFor(rules, want.quantity, {
          centreHz: at.channel === null ? null : (plan.channelsHz[at.channel - 1] ?? null),
          nominal: target?.nominalHz ?? null,
          lowPower: at.lowPower,
          powerPosition: at.powerPosition,
          mode: at.mode,
        })
      : null
  return { window: target?.window ?? null, nominalHz: target?.nominalHz ?? null, limit }
}

/** A frequency without a channel cannot be held against a channel's limit. */
function hasChannelFor(quantity: Quantity, at: RequirementConditions): boolean {
  return quantity !== 'carrierHz' || at.channel !== null
}

export function judgeRequirement(measured: Measured, requirement: Requirement): Judgement {
  return judge(measured, requirement.window, requirement.limit)
}
