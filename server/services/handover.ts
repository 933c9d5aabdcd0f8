import { t } from '#shared/i18n'
import type { JobRecord } from '#core/record'
import { completeRules } from '#core/rules'
import type { HandoverIssue } from '#shared/handoverIssue'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { pool } from '../db/pool'
import { selectIssue, selectIssues } from '../db/queries/handoverIssue'
import { selectPaper } from '../db/queries/handoverPaper'
import type { Copy } from '../pdf/handoverDocument'
import { paperPhotos } from '../pdf/photos'
import { ApiError } from '../utils/apiError'
import { handoverPaper } from './handoverPaper'
import { jobWithEvents, requireJob } from './jobs'
import { rulesOfJob } from './rules'
import { sheetsOfJob } from './sheetBook'

export async function issuesOf(jobId: string): Promise<HandoverIssue[]> {
  await requireJob(jobId)
  return selectIssues(pool, jobId)
}

/** The frozen text of an issue, byte by byte as it was signed. */
export async function frozenRecord(
  jobId: string,
  number: number,
): Promise<HandoverIssue & { record: string }> {
  const issue =
    Number.isInteger(number) && number > 0 && number < 1e6 ? await selectIssue(pool, jobId, number) : null
  if (!issue)
    throw new ApiError(404, 'unknown-issue', t('server.thisJobHasNoHandoverIssue', { number }), 'issue')
  return issue
}

/**
 * The handover on paper.
 * @param number issue, or null for the newest one; a job that was never handed over gives a draft of what is
 * known now
 */
export async function handoverPdf(
  jobId: string,
  copy: Copy,
  number: number | null,
): Promise<{ name: string; pdf: Buffer }> {
  const { job, events } = await jobWithEvents(jobId)
  const newest = number ?? (await selectIssues(pool, jobId))[0]?.number ?? null
  const issue = newest === null ? null : await frozenRecord(jobId, newest)
  const name = `${jobTag(job.number)}-${copy}${issue ? `-issue-${issue.number}` : '-draft'}.pdf`
  // What the owner was given is printed again as he was given it.
  const kept = issue && copy === 'owner' ? await selectPaper(pool, jobId, issue.number) : null
  if (kept) return { name, pdf: kept }
  const frozen = issue ? (JSON.parse(issue.record) as JobRecord) : null
  const shown = frozen ? { ...job, ...frozen.job } : job
  const sheets = await sheetsOfJob(
    pool,
    frozen
      ? { sheetId: frozen.sheet.id, sheetRevision: frozen.sheet.revision, schools: frozen.job.schools }
      : job,
    frozen?.events ?? events,
  )
  const { now: sheet, found } = sheets
  // A frozen issue is judged by the rules that were frozen with it.
  const rules = frozen ? completeRules(frozen.ruleSet) : await rulesOfJob(pool, job, sheets)
  // Photos are no part of the signed record; the shop's paper shows those that the job has now.
  const photos = copy === 'shop' ? await paperPhotos(jobId) : []
  const pdf = await handoverPaper(
    { job: shown as Job, sheet, found, rules, events: frozen?.events ?? events, issue, photos },
    copy,
  )
  return { name, pdf }
}
