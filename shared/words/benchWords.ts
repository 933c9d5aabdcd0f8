import {
  overlapMinutes,
  warmMinutes,
  type BlockedPeriod,
  type Outlook,
  type Suggestion,
} from '../../core/work'
import type { JobSummary } from '../bench'
import { jobTag } from '../job'
import { day } from './runWords'
import { durationWords } from './workWords'

/** Minutes of work on one set of a batch, for the estimate (general trade knowledge). */
const WORK_MIN = 40

/** What to do next, in one line. */
export function suggestionWords(
  s: Suggestion,
  of: (jobId: string) => JobSummary,
): { title: string; why: string } {
  const name = (id: string) => `${jobTag(of(id).job.number)} ${of(id).model}`
  switch (s.kind) {
    case 'stopped':
      return {
        title: `${name(s.jobId)}: isolate the short`,
        why: 'it was switched off at first power and stays off until then',
      }
    case 'soak-due':
      return { title: `${name(s.jobId)}: the soak is over`, why: 'read it once more, then end it' }
    case 'switch-on':
      return {
        title: `Switch on ${name(s.jobId)}`,
        why: `it warms ${warmMinutes(of(s.jobId))} min while ${jobTag(of(s.beside).job.number)} is on the bench`,
      }
    case 'ask-again':
      return {
        title: `${name(s.jobId)}: ask the owner again`,
        why: `no answer for ${s.days} days; no work on silence`,
      }
    case 'promised':
      return {
        title: `Go on with ${name(s.jobId)}`,
        why: s.late ? 'its promised day is past' : `promised ${day(s.promisedOn)}: begin today`,
      }
    case 'go-on':
      return { title: `Go on with ${name(s.jobId)}`, why: 'next in order' }
    case 'batch':
      return batchWords(s, of(s.jobId))
  }
}

function batchWords(
  s: Extract<Suggestion, { kind: 'batch' }>,
  of: JobSummary,
): { title: string; why: string } {
  const { serial, overlapped } = overlapMinutes(s.others + 1, warmMinutes(of), WORK_MIN)
  return {
    title: `${s.others} more ${of.model} ${s.others === 1 ? 'waits' : 'wait'}: take them together`,
    why: `one set-up, one warming while another is aligned: about ${serial - overlapped} min less`,
  }
}

/** Whether a promise can be kept; empty while there is time. */
export function outlookWords({ verdict, latestStart, blocked }: Outlook): string {
  const taken = blocked
    .map(b => `${day(b.fromDay)} to ${day(b.toDay)} the bench is taken (${b.why})`)
    .join('; ')
  if (verdict === 'fits') return taken ? `Begin by ${day(latestStart)}: ${taken}.` : ''
  const words =
    verdict === 'late'
      ? `This cannot be kept: work should have begun by ${day(latestStart)}`
      : 'Only just: work must begin today'
  return `${words}, with a day for the work and a day for the soak${taken ? `; ${taken}` : ''}.`
}

export function runsIntoWords(period: BlockedPeriod): string {
  return (
    `It will not be finished before ${day(period.fromDay)}, when the bench is taken ` +
    `(${period.why}), and then waits until after ${day(period.toDay)}.`
  )
}

/** What runs on a job by itself. */
export function timerWords(j: Pick<JobSummary, 'warmUp' | 'soakEndsAtMs'>, nowMs: number): string | null {
  if (j.soakEndsAtMs !== null)
    return j.soakEndsAtMs > nowMs ? `soak, ${durationWords(j.soakEndsAtMs - nowMs)} to go` : 'soak is over'
  if (!j.warmUp) return null
  return j.warmUp.warmAtMs > nowMs
    ? `warming, ${durationWords(j.warmUp.warmAtMs - nowMs)} to go`
    : `warm since ${durationWords(nowMs - j.warmUp.warmAtMs)}`
}
