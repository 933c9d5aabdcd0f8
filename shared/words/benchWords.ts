import { overlapMinutes, warmMinutes, type Suggestion } from '../../core/work'
import type { ModelSheet } from '../../core/sheet'
import type { JobSummary } from '../bench'
import { jobTag } from '../job'
import { durationWords } from './workWords'

/** Minutes of work on one set of a batch, for the estimate (general trade knowledge). */
const WORK_MIN = 40

/** What to do next, in one line. */
export function suggestionWords(s: Suggestion, of: (jobId: string) => JobSummary, model: (sheetId: string) => ModelSheet): { title: string, why: string } {
  const name = (id: string) => `${jobTag(of(id).job.number)} ${model(of(id).job.sheetId).model}`
  switch (s.kind) {
    case 'stopped': return { title: `${name(s.jobId)}: isolate the short`, why: 'it was switched off at first power and stays off until then' }
    case 'soak-due': return { title: `${name(s.jobId)}: the soak is over`, why: 'read it once more, then end it' }
    case 'switch-on': return { title: `Switch on ${name(s.jobId)}`, why: `it warms ${warmMinutes(model(of(s.jobId).job.sheetId))} min while ${jobTag(of(s.beside).job.number)} is on the bench` }
    case 'ask-again': return { title: `${name(s.jobId)}: ask the owner again`, why: `no answer for ${s.days} days; no work on silence` }
    case 'promised': return { title: `Go on with ${name(s.jobId)}`, why: s.late ? 'its promised day is past' : 'promised within two days' }
    case 'go-on': return { title: `Go on with ${name(s.jobId)}`, why: 'next in order' }
    case 'batch': return batchWords(s, model(of(s.jobId).job.sheetId))
  }
}

function batchWords(s: Extract<Suggestion, { kind: 'batch' }>, sheet: ModelSheet): { title: string, why: string } {
  const { serial, overlapped } = overlapMinutes(s.others + 1, warmMinutes(sheet), WORK_MIN)
  return { title: `${s.others} more ${sheet.model} ${s.others === 1 ? 'waits' : 'wait'}: take them together`, why: `one set-up, one warming while another is aligned: about ${serial - overlapped} min less` }
}

/** What runs on a job by itself. */
export function timerWords(j: Pick<JobSummary, 'warmUp' | 'soakEndsAtMs'>, nowMs: number): string | null {
  if (j.soakEndsAtMs !== null) return j.soakEndsAtMs > nowMs ? `soak, ${durationWords(j.soakEndsAtMs - nowMs)} to go` : 'soak is over'
  if (!j.warmUp) return null
  return j.warmUp.warmAtMs > nowMs ? `warming, ${durationWords(j.warmUp.warmAtMs - nowMs)} to go` : `warm since ${durationWords(nowMs - j.warmUp.warmAtMs)}`
}
