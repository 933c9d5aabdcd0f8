import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import type { AdjustedSummary, Compliance, Distance, LimitStanding } from '#core/handover'
import { groupDigits, showPlain, showSmallPower } from '#core/quantity'
import type { RuleSet } from '#core/rules'
import {
  keyDownTotals,
  type ComparedCell,
  type JobEvent,
  type OpenItem,
  type RunState,
  type Turn,
  type StepStatus,
} from '#core/run'
import { shownCell } from './compareGauge'
import { maskWords } from './ruleWords'
import { sentence, midSentence } from './sentence'
import { distanceWords } from './distanceWords'

/** Compliance in plain words: a sentence, and what it rests on or lacks. */
export interface ComplianceText {
  readonly words: string
  readonly detail: readonly string[]
}

export function complianceWords({ kind, standings, notJudged }: Compliance, rules: RuleSet): ComplianceText {
  const by = (...outcomes: LimitStanding['outcome'][]) => standings.filter(s => outcomes.includes(s.outcome))
  const beside = [...maskWords(rules.mask), ...notJudged.map(withoutId)]
  const missing = [...new Set(by('not-measured').map(limitWords))]
  const lines = [
    ...by('cannot-tell').map(s =>
      t('paper.cannotTellTheLimit', { row: s.row, words: sentence(limitWords(s)), why: s.undecided }),
    ),
    ...(missing.length > 0 ? [sentence(t('paper.notMeasured', { list: missing.join('; ') }))] : []),
    ...(beside.length > 0 ? [sentence(t('paper.notJudgedByThisProgram', { list: beside.join('; ') }))] : []),
  ]
  switch (kind) {
    case 'no-legal-rules':
      return { words: t('paper.noLegalRuleSetIsChosen'), detail: [] }
    case 'outside':
      return {
        words: t('paper.asMeasuredThisSetDoesNot', { name: rules.name }),
        detail: [
          ...by('above', 'below').map(
            s => `${s.row}: ${limitWords(s)}${s.distance ? `; ${beyondWords(s.outcome, s.distance)}` : ''}`,
          ),
          ...lines,
        ],
      }
    case 'met':
      return {
        words: t('paper.eachLimitOfThatThisProgram', { name: rules.name }),
        detail: lines,
      }
    case 'not-shown':
      return { words: t('paper.complianceWithHasNotBeenDemonstrated', { name: rules.name }), detail: lines }
  }
}

/** A limit of a rule set in the words of the rule; one in watts by its number. */
function limitWords({ limit }: LimitStanding): string {
  if ('words' in limit) return limit.words
  const max = showSmallPower(limit.maxW)
  return limit.quantity === 'harmonicDbc' ? t('paper.harmonicMax', { max }) : t('paper.adjacentMax', { max })
}

/** "read 4.41 W, 0.41 W, 0.4 dB above it", "+14.4 dBm, 31 dB above it" */
function beyondWords(side: LimitStanding['outcome'], distance: Distance): string {
  if (distance.kind === 'level')
    return t('paper.dbmDbIt', {
      dbm: groupDigits(distance.dbm, 1, true),
      overDb: groupDigits(distance.overDb, 0),
      side,
    })
  const { value, beyond, quantity, nominalHz } = distance
  const read =
    nominalHz === null ? showPlain(value, quantity) : `${groupDigits(value - nominalHz, 0, true)}\u2009Hz`
  return t('paper.wasReadIt', { read, distance: distanceWords(value, beyond, quantity, nominalHz), side })
}

/** Numbers of rules are for the shop's files. */
const withoutId = (words: string) => words.replace(/^R-[A-Z0-9]+: /, '')

const turnName = (t: Turn) => (t.name ? `${t.designator} (${t.name})` : t.designator)

/** What was adjusted, as the record bears it: said, inferred, or changed without a turn on record. */
export function adjustedWords(summary: AdjustedSummary): string[] {
  const { declared, returned, inferred, unexplained, elsewhere } = summary
  const out: string[] = []
  if (elsewhere.length > 0) out.push(t('paper.adjustedByOtherSheet', { list: elsewhere.join(', ') }))
  if (declared.length > 0) out.push(t('paper.adjusted', { list: declared.map(turnName).join(', ') }))
  if (returned.length > 0) out.push(t('paper.turnedAndPutBack', { list: returned.map(turnName).join(', ') }))
  if (inferred.length > 0) out.push(t('paper.probablyAdjusted', { list: inferred.map(turnName).join(', ') }))
  if ([declared, returned, inferred, elsewhere].every(list => list.length === 0)) {
    out.push(
      unexplained.length === 0
        ? t('paper.noAdjustmentIsOnRecord')
        : t('paper.noAdjustmentIsOnRecordBut', { list: unexplained.slice(0, 3).map(changeWords).join('; ') }),
    )
  }
  return out
}

function changeWords(c: ComparedCell): string {
  const [before, after] = [shownCell(c.before)!, shownCell(c.after)!]
  return t('paper.to', {
    title: c.point.title,
    label: midSentence(quantityLabel(c.want.quantity)),
    before: before.value,
    after: after.value,
    unit: after.unit,
  })
}

/** What was done, from the record: adjusters turned, steps confirmed, seconds keyed, notes. */
export function workDone(
  run: RunState,
  summary: AdjustedSummary,
  events: readonly JobEvent[] = [],
): string[] {
  const { totalS } = keyDownTotals(events)
  const titles = (status: StepStatus) =>
    run.steps.filter(s => s.satisfied && s.status === status).map(s => s.step.title)
  const [within, measured] = [titles('inside'), titles('measured')]
  return [
    ...adjustedWords(summary),
    within.length > 0 ? t('paper.measuredAndWithinTolerance', { list: within.join(', ') }) : '',
    measured.length > 0 ? t('paper.measuredNotJudged', { list: measured.join(', ') }) : '',
    totalS > 0
      ? t('paper.keyedInTotal', {
          what: totalS < 100 ? `${groupDigits(totalS, 0)} s` : `${groupDigits(totalS / 60, 1)} min`,
        })
      : '',
    ...events.flatMap(e =>
      e.kind === 'gate-passed'
        ? [t('paper.begunBeforeWarmUpStep', { stepId: e.stepId, what: e.reason ? `, ${e.reason}` : '' })]
        : [],
    ),
    ...run.notes.map(n => t('paper.note', { text: n.text })),
  ].filter(Boolean)
}

export function unsettled(items: readonly OpenItem[]): OpenItem[] {
  return items.filter(i => i.settled === null)
}
