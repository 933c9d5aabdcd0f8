import { overlapMinutes, warmMinutes, type BlockedPeriod, type Outlook, type Suggestion } from '#core/work'
import type { JobSummary } from '../bench'
import { jobTag } from '../job'
import { day } from './runWords'
import { durationWords } from './workWords'

/** Minutes of work on one set of a batch, for the estimate (common practice). */
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
        why: 'It was switched off at first power. Keep it off until the short is isolated.',
      }
    case 'soak-due':
      return { title: `${name(s.jobId)}: soak time is up`, why: 'Take a last reading, then end the test.' }
    case 'switch-on':
      return {
        title: `Switch on ${name(s.jobId)}`,
        why:
          `It warms up for ${warmMinutes(of(s.jobId))} min while ` +
          `${jobTag(of(s.beside).job.number)} is on the bench.`,
      }
    case 'ask-again':
      return {
        title: `${name(s.jobId)}: ask the owner again`,
        why: `No answer for ${s.days} days. No work without an answer.`,
      }
    case 'promised':
      return {
        title: `Continue ${name(s.jobId)}`,
        why: s.late ? 'overdue' : `Due ${day(s.promisedOn)}: start today.`,
      }
    case 'go-on':
      return { title: `Continue ${name(s.jobId)}`, why: 'Next in order.' }
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
    title: `${s.others} more ${of.model} ${s.others === 1 ? 'is' : 'are'} waiting: work on them together`,
    why: `Warm up one while you align another. Saves about ${serial - overlapped} min.`,
  }
}

/** Whether a promise can be kept; empty while there is time. */
export function outlookWords({ verdict, latestStart, blocked }: Outlook): string {
  const taken = blocked.map(b => `bench blocked ${day(b.fromDay)} to ${day(b.toDay)} (${b.why})`).join('; ')
  if (verdict === 'fits') return taken ? `Start by ${day(latestStart)}: ${taken}.` : ''
  const words =
    verdict === 'late'
      ? `Cannot be ready in time. Latest start was ${day(latestStart)}`
      : 'Start today to be ready in time'
  return `${words}, with a day for the work and a day for the soak test${taken ? `; ${taken}` : ''}.`
}

export function runsIntoWords(period: BlockedPeriod): string {
  return (
    `It will not be finished before ${day(period.fromDay)}, when the bench is ` +
    `blocked (${period.why}). It then waits until after ${day(period.toDay)}.`
  )
}

/** What runs on a job by itself. */
export function timerWords(j: Pick<JobSummary, 'warmUp' | 'soakEndsAtMs'>, nowMs: number): string | null {
  if (j.soakEndsAtMs !== null)
    return j.soakEndsAtMs > nowMs
      ? `soak test, ${durationWords(j.soakEndsAtMs - nowMs)} left`
      : 'soak time is up'
  if (!j.warmUp) return null
  return j.warmUp.warmAtMs > nowMs
    ? `warming up, ${durationWords(j.warmUp.warmAtMs - nowMs)} left`
    : `warm for ${durationWords(nowMs - j.warmUp.warmAtMs)}`
}
