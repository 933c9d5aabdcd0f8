import { jobRecord, type JobRecord } from '#core/record'
import type { RuleSet } from '#core/rules'
import type { JobEvent, JobSheets } from '#core/run'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'

/**
 * The record of a job as some of its events make it.
 * @param sheets with the corrections of these events; time is passed in
 */
export function recordFor(
  job: Job,
  sheets: JobSheets,
  rules: RuleSet,
  events: readonly JobEvent[],
  exportedAtMs: number,
): JobRecord {
  const { owner, serial, complaint, claims, accessories, boxNote, schools, mayDo, promisedOn, createdAtMs } =
    job
  const recorded = {
    tag: jobTag(job.number),
    owner,
    serial,
    complaint,
    claims,
    accessories,
    boxNote,
    schools,
    mayDo,
    promisedOn,
    createdAtMs,
  }
  return jobRecord(recorded, sheets, rules, events, exportedAtMs)
}
