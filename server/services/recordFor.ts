import { jobRecord, type JobRecord } from '#core/record'
import type { RuleSet } from '#core/rules'
import { jobSheet, type JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'

/**
 * The record of a job as some of its events make it.
 * @param base revision of the sheet that it began with; time is passed in
 */
export function recordFor(
  job: Job,
  base: ModelSheet,
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
  return jobRecord(recorded, jobSheet(base, schools, events), rules, events, exportedAtMs)
}
