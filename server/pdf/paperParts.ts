import type { Content } from 'pdfmake/interfaces'
import { settleClaim } from '#core/claims'
import { adjusted, compliances } from '#core/handover'
import type { RuleSet } from '#core/rules'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { plannedWork, type JobState } from '#core/work'
import { t } from '#shared/i18n'
import type { Job } from '#shared/job'
import { OUTCOME_WORDS, claimWords, factorWords, settledWords } from '#shared/words/claimWords'
import { complaintLines } from '#shared/words/complaintWords'
import { adjustedWords, complianceWords } from '#shared/words/handoverWords'
import { dayMonthYear } from '#shared/words/dateWords'
import { heading, list, words } from './blocks'

/** Whether the complaint shows on the bench, and under which conditions it was tried. */
export function complaintTried(events: readonly JobEvent[]): Content[] {
  const lines = complaintLines(events)
  return lines.length > 0 ? [list(lines)] : []
}

/** What the owner says in numbers, beside what was measured. */
export function claims(job: Job, state: JobState): Content[] {
  const settled = job.claims.map(c => settleClaim(c, state.claimRows, state.claimContext))
  if (settled.length === 0) return []
  return [
    heading(t('paper.yourReportAndOurMeasurements')),
    list(
      settled.map(
        s =>
          `${t(OUTCOME_WORDS[s.outcome])}: ${claimWords(s.claim)}. ${settledWords(s)}. ${factorWords(s) ?? ''}`,
      ),
    ),
  ]
}

/** How the set stands by each rule set of the job, with what that rests on or lacks. */
export const complianceParts = (sheet: ModelSheet, rules: RuleSet, { run }: JobState): Content[] =>
  compliances(sheet, rules, run).flatMap(found => {
    const legal = complianceWords(found, found.rules)
    return [words(legal.words, { bold: true }), ...(legal.detail.length > 0 ? [list(legal.detail)] : [])]
  })

/** What was left for a later visit, so that the owner knows of it. */
export function plannedFor(events: readonly JobEvent[]): Content[] {
  const planned = plannedWork(events)
  return planned.length > 0 ? [heading(t('common.plannedForALaterVisit')), list(planned)] : []
}

/** What was said at the handover, and who released it. */
export function handedWords(events: readonly JobEvent[]): Content[] {
  const last = events.findLast(e => e.kind === 'handed-over')
  if (!last) return []
  const on = dayMonthYear(last.atMs)
  return [
    ...(last.text ? [heading(t('paper.explainedToTheOwner')), words(`${last.text} (${on})`)] : []),
    ...(last.author ? [words(t('paper.releasedBy', { name: last.author.name, on }))] : []),
  ]
}

/** A list, or one line that says that there is nothing. */
export function orNone(lines: readonly string[], none: string): readonly string[] {
  return lines.length > 0 ? lines : [none]
}

/** Where no step is finished and nothing was mended: what was turned all the same. */
export function turnedOrNothing({ run, compared }: JobState): string {
  const isTurned = run.history.turns.length > 0 || run.turnedElsewhere.length > 0
  return isTurned ? adjustedWords(adjusted(run, compared, [])).join(' ') : t('paper.noWorkRecorded')
}
