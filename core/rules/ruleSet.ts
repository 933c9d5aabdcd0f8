import { message } from '../message'
import { CoreError } from '../errors'
import type { Quantity } from '../quantity'
import { coversChannel } from './channelPlans'
import type { Mode } from './mode'

/**
 * How sure we are of a value that was written down from memory: H sure, M check before it is shown as law, L
 * a hint.
 */
export type Confidence = 'H' | 'M-H' | 'M' | 'L-M' | 'L'

/**
 * Bounds of a limit. Error bounds are about the channel centre, those of any other frequency about what the
 * sheet of the model calls for; they become absolute per channel and set.
 */
export interface LimitBound {
  readonly low?: number
  readonly high?: number
  /** +/- [Hz] */
  readonly errorHz?: number
  /** +/- [ppm] */
  readonly errorPpm?: number
}

/** One line of a rule set, as data: changing the law changes this and every view follows. */
export interface RuleLimit {
  readonly id: string
  readonly quantity: Quantity
  /** undefined = either position of the high/low power switch */
  readonly lowPower?: boolean
  /** undefined = in every mode */
  readonly modes?: readonly Mode[]
  readonly bound: LimitBound
  readonly words: string
  readonly source: string
  readonly confidence: Confidence | 'practice'
}

/** A part of an emission mask, measured from the channel centre. */
export interface MaskPart {
  readonly modes: readonly Mode[]
  readonly fromHz: number
  readonly toHz: number
  /** below the carrier (AM, FM) or the PEP (SSB) [dB] */
  readonly belowDb: number
  /** true: more by the decibels that the power lies above 1 W, which makes it a limit in watts */
  readonly addsPowerDb: boolean
}

/** A limit in watts on what lies beside the carrier. */
export interface PowerLimit {
  readonly id: string
  readonly maxW: number
  readonly confidence: Confidence | 'practice'
}

/** Limits on harmonics and other spurious emissions, stricter in protected bands. */
export interface SpuriousLimit {
  readonly id: string
  readonly protectedMaxW: number
  readonly otherMaxW: number
  /** as the rule says it, where that is more than the numbers; absent = by the numbers */
  readonly words?: string
  readonly confidence: Confidence | 'practice'
}

export interface RuleSet {
  readonly id: string
  readonly name: string
  /** legal limits are judged with a guard band, workshop targets by plain acceptance; never mixed */
  readonly kind: 'legal' | 'workshop'
  readonly region: string
  /** plan whose channels these rules cover; null = any */
  readonly planId: string | null
  readonly source: string
  /** day on which the values were written down (ISO date) */
  readonly asOf: string
  /** true: no text was at hand when the values were written down */
  readonly fromMemory: boolean
  readonly limits: readonly RuleLimit[]
  /** parts of the emission mask; empty = none */
  readonly mask: readonly MaskPart[]
  /** most power in an adjacent channel; null = no such limit in watts */
  readonly adjacent: PowerLimit | null
  /** most power of a spurious emission; null = no such limit in watts */
  readonly spurious: SpuriousLimit | null
  /** rules without a number that this program judges yet */
  readonly alsoSays: readonly string[]
  /** for channels of the set that these say nothing of */
  readonly besides?: readonly RuleSet[]
}

/** What a limit applies to. */
export interface RuleConditions {
  /** of the channel [Hz]; null = the reading belongs to none */
  readonly centreHz: number | null
  /** what the sheet calls for [SI]; null, or undefined = it names none */
  readonly nominal?: number | null
  readonly lowPower: boolean
  /** between highest and lowest; none = at the end that lowPower says */
  readonly powerPosition?: string
  readonly mode: Mode
}

/** A limit made absolute for one channel [SI]; null = no bound on that side. */
export interface ResolvedLimit {
  readonly rule: RuleLimit
  readonly kind: RuleSet['kind']
  readonly ruleSetName: string
  readonly low: number | null
  readonly high: number | null
}

/**
 * The strictest-first limits of a rule set for one quantity under given conditions.
 * @returns the applicable limit, or null when the set says nothing about the quantity, or is about other
 * channels than this one
 * @throws {CoreError} unknown-channel (an error limit needs a channel)
 */
export function limitFor(
  rules: RuleSet,
  quantity: Quantity,
  conditions: RuleConditions,
): ResolvedLimit | null {
  const set = rulesAt(rules, conditions.centreHz)
  if (!set) return null
  const candidates = set.limits.filter(
    l => l.quantity === quantity && isOfPower(l, conditions) && (l.modes?.includes(conditions.mode) ?? true),
  )
  // A line written for this switch position is the more particular one and wins over the general line.
  const rule = candidates.find(l => l.lowPower !== undefined) ?? candidates[0]
  return rule ? resolve(set, rule, conditions) : null
}

/** The rules that speak of a channel; null = none do. @param centreHz null = it belongs to none */
function rulesAt(rules: RuleSet, centreHz: number | null): RuleSet | null {
  if (centreHz === null) return rules
  return [rules, ...(rules.besides ?? [])].find(r => coversChannel(r.planId, centreHz)) ?? null
}

/** What the highest position may have at most holds for those below it too; what it must have does not. */
function isOfPower({ lowPower, bound }: RuleLimit, at: RuleConditions): boolean {
  if (lowPower === undefined) return true
  if (at.powerPosition) return !lowPower && bound.low === undefined
  return lowPower === at.lowPower
}

function resolve(
  set: RuleSet,
  rule: RuleLimit,
  { centreHz, nominal = null }: RuleConditions,
): ResolvedLimit | null {
  const { errorHz, errorPpm, low, high } = rule.bound
  const base = { rule, kind: set.kind, ruleSetName: set.name }
  if (errorHz === undefined && errorPpm === undefined)
    return { ...base, low: low ?? null, high: high ?? null }
  if (rule.quantity !== 'carrierHz')
    return nominal === null ? null : { ...base, ...about(nominal, rule.bound) }
  if (centreHz === null)
    throw new CoreError('unknown-channel', message('error.needsChannel', { id: rule.id }))
  return { ...base, ...about(centreHz, rule.bound) }
}

function about(nominal: number, { errorHz, errorPpm }: LimitBound): { low: number; high: number } {
  const half = errorHz ?? nominal * errorPpm! * 1e-6
  return { low: nominal - half, high: nominal + half }
}
