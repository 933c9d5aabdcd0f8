import type { AdjustedSummary, Compliance, Distance, LimitStanding } from '#core/handover'
import { QUANTITIES, groupDigits, showPlain } from '#core/quantity'
import type { RuleSet } from '#core/rules'
import {
  keyDownTotals,
  type ComparedCell,
  type JobEvent,
  type OpenItem,
  type RunState,
  type Turn,
} from '#core/run'
import { shownCell } from './compareGauge'
import { maskWords } from './ruleWords'
import { sentence } from './sentence'
import { distanceWords } from './distanceWords'

/** Compliance in plain words: a sentence, and what it rests on or lacks. */
export interface ComplianceText {
  readonly words: string
  readonly detail: readonly string[]
}

export function complianceWords({ kind, standings, notJudged }: Compliance, rules: RuleSet): ComplianceText {
  const by = (...outcomes: LimitStanding['outcome'][]) => standings.filter(s => outcomes.includes(s.outcome))
  const beside = [...maskWords(rules.mask), ...notJudged.map(withoutId)]
  const missing = by('not-measured').map(s => s.words)
  const lines = [
    ...by('cannot-tell').map(
      s => `Cannot tell, ${s.row}: ${s.words}. The limit lies within the uncertainty.`,
    ),
    ...(missing.length > 0 ? [sentence(`Not measured: ${missing.join('; ')}`)] : []),
    ...(beside.length > 0 ? [sentence(`Not judged by this program: ${beside.join('; ')}`)] : []),
  ]
  switch (kind) {
    case 'no-legal-rules':
      return { words: 'No legal rule set is chosen: compliance was not judged.', detail: [] }
    case 'outside':
      return {
        words: `As measured, this set does not comply with ${rules.name}.`,
        detail: [
          ...by('above', 'below').map(
            s => `${s.row}: ${s.words}${s.distance ? `; ${beyondWords(s.outcome, s.distance)}` : ''}`,
          ),
          ...lines,
        ],
      }
    case 'met':
      return {
        words: `Each limit of ${rules.name} that this program judges was measured and is met, uncertainty included.`,
        detail: lines,
      }
    case 'not-shown':
      return { words: `Compliance with ${rules.name} has not been demonstrated.`, detail: lines }
  }
}

/** "read 4.41 W, 0.41 W, 0.4 dB above it", "+14.4 dBm, 31 dB above it" */
function beyondWords(side: LimitStanding['outcome'], distance: Distance): string {
  if (distance.kind === 'level')
    return `${groupDigits(distance.dbm, 1, true)} dBm, ${groupDigits(distance.overDb, 0)} dB ${side} it`
  const { value, beyond, quantity, nominalHz } = distance
  const read =
    nominalHz === null ? showPlain(value, quantity) : `${groupDigits(value - nominalHz, 0, true)}\u2009Hz`
  return `${read} was read, ${distanceWords(value, beyond, quantity, nominalHz)} ${side} it`
}

/** Numbers of rules are for the shop's files. */
const withoutId = (words: string) => words.replace(/^R-[A-Z0-9]+: /, '')

const turnName = (t: Turn) => (t.name ? `${t.designator} (${t.name})` : t.designator)

/** What was adjusted, as the record bears it: said, inferred, or changed without a turn on record. */
export function adjustedWords({ declared, inferred, unexplained }: AdjustedSummary): string[] {
  const out: string[] = []
  if (declared.length > 0) out.push(`Adjusted: ${declared.map(turnName).join(', ')}`)
  if (inferred.length > 0)
    out.push(`Probably adjusted, inferred from readings that moved: ${inferred.map(turnName).join(', ')}`)
  if (declared.length === 0 && inferred.length === 0) {
    out.push(
      unexplained.length === 0
        ? 'No adjustment is on record'
        : `No adjustment is on record, but readings changed: ${unexplained.slice(0, 3).map(changeWords).join('; ')}`,
    )
  }
  return out
}

function changeWords(c: ComparedCell): string {
  const [before, after] = [shownCell(c.before)!, shownCell(c.after)!]
  return (
    `${c.point.title}, ${QUANTITIES[c.want.quantity].label.toLowerCase()} ` +
    `${before.value} to ${after.value} ${after.unit}`
  )
}

/** What was done, from the record: adjusters turned, steps confirmed, seconds keyed, notes. */
export function workDone(
  run: RunState,
  summary: AdjustedSummary,
  events: readonly JobEvent[] = [],
): string[] {
  const { totalS } = keyDownTotals(events)
  const done = run.steps.filter(s => s.satisfied && s.status === 'inside').map(s => s.step.title)
  return [
    ...adjustedWords(summary),
    done.length > 0 ? `Measured and within tolerance: ${done.join(', ')}` : '',
    totalS > 0
      ? `Keyed ${totalS < 100 ? `${totalS.toFixed(0)} s` : `${(totalS / 60).toFixed(1)} min`} in total`
      : '',
    ...events.flatMap(e =>
      e.kind === 'gate-passed'
        ? [`Begun before warm-up: step ${e.stepId}${e.reason ? `, ${e.reason}` : ''}`]
        : [],
    ),
    ...run.notes.map(n => `Note: ${n.text}`),
  ].filter(Boolean)
}

export function unsettled(items: readonly OpenItem[]): OpenItem[] {
  return items.filter(i => i.settled === null)
}
