import { expandedUncertainty, type Measured } from '../quantity'
import type { ResolvedLimit } from './ruleSet'

/** A workshop window [SI]; null = open on that side. */
export interface Window {
  readonly low: number | null
  readonly high: number | null
  readonly aim: number | null
}

export type Verdict = 'inside' | 'above' | 'below' | 'cannot-tell'

/** Why a limit cannot be decided: it lies within the uncertainty, nobody knows that, or a bound was read. */
export type Undecided = 'uncertainty' | 'unknown' | 'bound'

/** Why a verdict is what it is, with the numbers for whoever doubts it. */
export interface Reason {
  readonly rule: 'target' | 'limit' | 'resolution'
  readonly verdict: Verdict | null
  readonly low: number | null
  readonly high: number | null
  readonly limitId: string | null
  /** of a limit that cannot be decided; null = everything else */
  readonly undecided: Undecided | null
}

export interface Judgement {
  readonly verdict: Verdict
  /** false: the instrument's bound exceeds a third of the window, so plain acceptance means little */
  readonly resolvesTarget: boolean
  readonly reasons: readonly Reason[]
}

/** The verdict of a reading; null = nothing is asked of it, so nothing was judged. */
export function judgedVerdict({ verdict, reasons }: Judgement): Verdict | null {
  return reasons.some(r => r.verdict !== null) ? verdict : null
}

/**
 * Share of a window that the instrument's bound may take before it "cannot resolve the tolerance" (common
 * practice).
 */
export const RESOLVING_SHARE = 1 / 3

/**
 * Judges a reading by the two rules that are never mixed: a workshop window by plain acceptance (the reading
 * itself), a legal limit with a guard band (the reading with its bound U).
 *
 * The more serious finding leads: outside the law, outside the window, law undecidable, inside.
 * @param measured reading [SI]; unknown uncertainty leaves every legal limit undecidable; a needle at its
 * stop decides only what its bound decides
 * @param target workshop window or null
 * @param limit legal limit or null; a limit of a workshop rule set is taken by plain acceptance
 * @returns verdict with its reasons; 'inside' with no reasons when nothing is asked of the quantity
 * Source: guard band with U: JCGM 106, ISO 14253-1, ILAC-G8 (from memory).
 */
export function judge(measured: Measured, target: Window | null, limit: ResolvedLimit | null): Judgement {
  const bound = expandedUncertainty(measured)
  const reasons: Reason[] = []
  if (limit) reasons.push(limitReason(measured, limit, bound))
  if (target)
    reasons.push({
      rule: 'target',
      verdict: classify(interval(measured, 0), target),
      low: target.low,
      high: target.high,
      limitId: null,
      undecided: null,
    })
  const resolvesTarget = !target || bound === null || resolves(bound, target)
  if (!resolvesTarget)
    reasons.push({
      rule: 'resolution',
      verdict: null,
      low: target!.low,
      high: target!.high,
      limitId: null,
      undecided: null,
    })
  return { verdict: leading(reasons), resolvesTarget, reasons }
}

function limitReason(measured: Measured, limit: ResolvedLimit, bound: number | null): Reason {
  const { low, high, rule, kind } = limit
  const guard = kind === 'workshop' ? 0 : bound
  const verdict = guard === null ? 'cannot-tell' : classify(interval(measured, guard), limit)
  const undecided = verdict === 'cannot-tell' ? undecidedBy(measured, limit, guard) : null
  return { rule: 'limit', verdict, low, high, limitId: rule.id, undecided }
}

function undecidedBy(measured: Measured, limit: ResolvedLimit, guard: number | null): Undecided {
  if (guard === null) return 'unknown'
  // By the reading alone it would be decided, unless that is a bound.
  return classify(interval(measured, 0), limit) === 'cannot-tell' ? 'bound' : 'uncertainty'
}

function leading(reasons: readonly Reason[]): Verdict {
  const of = (rule: Reason['rule']) => reasons.find(r => r.rule === rule)?.verdict ?? null
  const legal = of('limit')
  const workshop = of('target')
  if (legal === 'above' || legal === 'below') return legal
  if (workshop === 'above' || workshop === 'below') return workshop
  if (legal === 'cannot-tell' || workshop === 'cannot-tell') return 'cannot-tell'
  return legal ?? workshop ?? 'inside'
}

/** What the true value may be: a reading at the needle's stop is open on one side. */
interface Interval {
  readonly from: number
  readonly to: number
}

function interval({ value, bound }: Measured, errorBound: number): Interval {
  return {
    from: bound === 'at-most' ? -Infinity : value - errorBound,
    to: bound === 'at-least' ? Infinity : value + errorBound,
  }
}

/** What sums of a few doubles are off by, and no instrument resolves [ratio]. */
const ROUNDING = 1e-13

/** Outside or inside only when every value of the interval is. */
function classify(
  { from, to }: Interval,
  { low, high }: { low: number | null; high: number | null },
): Verdict {
  // A sum that falls exactly on a limit is not decided by its last binary digit.
  const slack = (limit: number) => ROUNDING * Math.abs(limit)
  if (high !== null && from > high + slack(high)) return 'above'
  if (low !== null && to < low - slack(low)) return 'below'
  const under = high === null || to <= high + slack(high)
  const over = low === null || from >= low - slack(low)
  return under && over ? 'inside' : 'cannot-tell'
}

/** A one-sided window has no width to resolve. */
function resolves(bound: number, window: Window): boolean {
  if (window.low === null || window.high === null) return true
  return bound <= (window.high - window.low) * RESOLVING_SHARE
}
