import { dbToPowerRatio } from '../../quantity'
import {
  channelHz,
  channelPlan,
  judge,
  limitFor,
  nearestChannel,
  type Judgement,
  type Mode,
  type ResolvedLimit,
  type RuleSet,
} from '../../rules'
import type { Measurement } from '../measurement'
import { LINE_DB, adjacentShare, signalReadings, type SignalReading } from './readings'

/** A reading with what a rule set says of it. */
export interface JudgedReading extends SignalReading {
  readonly limit: ResolvedLimit | null
  readonly judgement: Judgement | null
  readonly nominalHz: number | null
}

/** What leads the verdict, the gravest first. */
export type SignalFinding =
  | { readonly kind: 'nothing-sent' }
  | { readonly kind: 'only-at-centre' }
  | { readonly kind: 'overload' }
  | { readonly kind: 'pinched'; readonly share: number }
  | { readonly kind: 'reversed'; readonly depth: number }
  | { readonly kind: 'flat-topped'; readonly share: number }
  | { readonly kind: 'outside'; readonly reading: JudgedReading }
  | { readonly kind: 'undecided'; readonly reading: JudgedReading }
  | { readonly kind: 'neighbours'; readonly share: number }
  | { readonly kind: 'adjacent-power'; readonly watts: number; readonly maxW: number }
  | { readonly kind: 'adjacent-untold'; readonly watts: number; readonly maxW: number }
  | { readonly kind: 'mask'; readonly marginDb: number; readonly offsetHz: number; readonly ruleSet: string }
  | { readonly kind: 'clean' }

export interface JudgedSignal {
  readonly readings: readonly JudgedReading[]
  readonly findings: readonly SignalFinding[]
  readonly mode: Mode | null
  readonly channel: number | null
}

/** Shorter than this share of the time is no finding. */
const SHORT = 0.005
/** Expanded uncertainty over standard uncertainty. */
const COVERAGE = 2
/** Power in the neighbours that is worth a word. */
const MAX_ADJACENT_SHARE = 0.001

/**
 * A measurement against a rule set: every reading with its limit, and what must be said first.
 * @param m figures in SI; what is null is not judged
 * @param rules legal limits are judged with a guard band, workshop targets by plain acceptance
 * @param carrierW unmodulated carrier [W], for limits that are absolute powers; null = not known, and they
 * are not judged
 * @returns readings with their judgement, and findings: shape, limits, what lies beside; noise of the
 * receiver and strangers never break a limit
 * Source: guard band with the expanded uncertainty, JCGM 106 (from memory).
 */
export function judgeSignal(m: Measurement, rules: RuleSet, carrierW: number | null): JudgedSignal {
  if (!m.signalPresent)
    return {
      readings: [],
      findings: [
        { kind: m.notes.some(n => n.code === 'only-at-centre') ? 'only-at-centre' : 'nothing-sent' },
      ],
      mode: null,
      channel: null,
    }
  const mode = modeOf(m)
  const plan = channelPlan(rules.planId ?? 'forty')
  const hz = m.carrier?.frequencyHz ?? m.ssb?.suppressedCarrierHz ?? null
  const near = hz !== null && m.centreHz !== null ? nearestChannel(plan, hz) : null
  const channel = near && Math.abs(near.errorHz) < 5000 ? near.channel : null
  const centreHz = channel === null ? null : channelHz(plan, channel)
  const readings = signalReadings(m).map((r): JudgedReading => {
    const nominalHz = r.quantity === 'carrierHz' ? centreHz : null
    const limit =
      mode && (r.quantity !== 'carrierHz' || channel !== null)
        ? limitFor(rules, r.quantity, { centreHz, lowPower: false, mode })
        : null
    return { ...r, limit, judgement: limit ? judgedBy(m, r, limit) : null, nominalHz }
  })
  const findings = [
    ...ofShape(m),
    ...ofLimits(readings.filter(r => !(r.quantity === 'depthNegativeRatio' && isOver(m)))),
    ...ofAdjacent(m, rules, carrierW),
  ]
  return { readings, findings: findings.length > 0 ? findings : [{ kind: 'clean' }], mode, channel }
}

/**
 * An envelope cannot show more than 100 %: where it is pinched off or flips, the depth is beyond, whatever
 * the reading.
 */
function judgedBy(m: Measurement, r: SignalReading, limit: ResolvedLimit): Judgement {
  const judged = judge(r, null, limit)
  const beyond = r.quantity === 'depthNegativeRatio' && limit.high !== null && limit.high <= 1 && isOver(m)
  return beyond
    ? {
        ...judged,
        verdict: 'above',
        reasons: judged.reasons.map(reason =>
          reason.rule === 'limit' ? { ...reason, verdict: 'above' } : reason,
        ),
      }
    : judged
}

const isOver = ({ am }: Measurement) =>
  am !== null && (am.pinchedRatio > SHORT || am.depthSynchronous !== null)

function modeOf(m: Measurement): Mode | null {
  if (m.mode === 'am') return 'AM'
  if (m.mode === 'fm') return 'FM'
  return m.mode === 'ssb' ? (m.ssb?.sideband ?? 'USB') : null
}

function ofShape({ health, am }: Measurement): SignalFinding[] {
  return [
    ...(health.overload ? [{ kind: 'overload' as const }] : []),
    ...(am && am.pinchedRatio > SHORT ? [{ kind: 'pinched' as const, share: am.pinchedRatio }] : []),
    ...(am?.depthSynchronous ? [{ kind: 'reversed' as const, depth: am.depthSynchronous }] : []),
    ...(am && am.flatTopRatio !== null && am.flatTopRatio > SHORT
      ? [{ kind: 'flat-topped' as const, share: am.flatTopRatio }]
      : []),
  ]
}

function ofLimits(readings: readonly JudgedReading[]): SignalFinding[] {
  const verdictOf = (r: JudgedReading) => r.judgement?.verdict
  return [
    ...readings
      .filter(r => verdictOf(r) === 'above' || verdictOf(r) === 'below')
      .map(reading => ({ kind: 'outside' as const, reading })),
    ...readings
      .filter(r => verdictOf(r) === 'cannot-tell')
      .map(reading => ({ kind: 'undecided' as const, reading })),
  ]
}

function ofAdjacent(m: Measurement, rules: RuleSet, carrierW: number | null): SignalFinding[] {
  const share = adjacentShare(m)
  const mask = m.spectrum?.mask
  return [
    ...(mask?.pass === false
      ? [
          {
            kind: 'mask' as const,
            marginDb: mask.worstMarginDb!,
            offsetHz: mask.worstOffsetHz!,
            ruleSet: mask.ruleSet,
          },
        ]
      : []),
    ...adjacentPower(m, rules, carrierW),
    ...(share !== null && share > MAX_ADJACENT_SHARE ? [{ kind: 'neighbours' as const, share }] : []),
  ]
}

/**
 * Power in the next channel against an absolute limit, with the guard band of any legal limit; noise and
 * strangers never break it.
 */
function adjacentPower(m: Measurement, rules: RuleSet, carrierW: number | null): SignalFinding[] {
  const limit = rules.adjacent
  const next =
    m.spectrum?.adjacent.filter(a => Math.abs(a.offsetHz) === 10_000 && a.bandwidthHz === 8000) ?? []
  if (!limit || carrierW === null || next.length === 0) return []
  const wattsOf = (dbc: number) => carrierW * dbToPowerRatio(dbc)
  const worst = (list: typeof next) => list.reduce((w, a) => Math.max(w, a.dbc), -Infinity)
  const guardDb = COVERAGE * LINE_DB
  const [own, all] = [worst(next.filter(a => a.bound === null)), worst(next)]
  const maxW = limit.maxW
  if (wattsOf(own - guardDb) > maxW) return [{ kind: 'adjacent-power', watts: wattsOf(own), maxW }]
  return wattsOf(all + guardDb) > maxW ? [{ kind: 'adjacent-untold', watts: wattsOf(all), maxW }] : []
}
