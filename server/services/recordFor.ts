import { jobRecord, type JobRecord } from '../../core/formats'
import type { RuleSet } from '../../core/rules'
import type { JobEvent } from '../../core/run'
import { sheetOf } from '../../core/sheet'
import { jobTag, type Job } from '../../shared/job'

/** The record of a job as some of its events make it. Time is passed in. */
export function recordFor(job: Job, rules: RuleSet, events: readonly JobEvent[], exportedAtMs: number): JobRecord {
  const { owner, serial, complaint, claims, accessories, boxNote, schools, mayDo, promisedOn, createdAtMs } = job
  const recorded = { tag: jobTag(job.number), owner, serial, complaint, claims, accessories, boxNote, schools, mayDo, promisedOn, createdAtMs }
  return jobRecord(recorded, sheetOf(job), rules, events, exportedAtMs)
}
