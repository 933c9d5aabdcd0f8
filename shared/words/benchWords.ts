import { t } from '#shared/i18n'
import { overlapMinutes, warmMinutes, type BlockedPeriod, type Outlook, type Suggestion } from '#core/work'
import type { JobSummary } from '../bench'
import { jobTag } from '../jobTag'
import { day } from './dateWords'
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
        title: t('bench.isolateTheShort', { name: name(s.jobId) }),
        why: t('bench.itWasSwitchedOffAtFirst'),
      }
    case 'soak-due':
      return {
        title: t('bench.soakTimeIsUp', { name: name(s.jobId) }),
        why: t('bench.takeALastReadingThenEnd'),
      }
    case 'switch-on':
      return {
        title: t('bench.switchOn', { name: name(s.jobId) }),
        why: t('bench.itWarmsUpForMinWhile', {
          warmMinutes: warmMinutes(of(s.jobId)),
          jobTag: jobTag(of(s.beside).job.number),
        }),
      }
    case 'ask-again':
      return {
        title: t('bench.askTheOwnerAgain', { name: name(s.jobId) }),
        why: t('bench.noAnswerForDaysNoWork', { days: s.days }),
      }
    case 'promised':
      return {
        title: t('bench.continue', { name: name(s.jobId) }),
        why: s.late ? t('bench.overdue') : t('bench.dueStartToday', { day: day(s.promisedOn) }),
      }
    case 'go-on':
      return { title: t('bench.continue', { name: name(s.jobId) }), why: t('bench.nextInOrder') }
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
    title: t('bench.moreAreWaitingWorkOnThem', { others: s.others, model: of.model }),
    why: t('bench.warmUpOneWhileYouAlign', { serial: serial - overlapped }),
  }
}

/** Whether a promise can be kept; empty while there is time. */
export function outlookWords({ verdict, latestStart, blocked }: Outlook): string {
  const taken = blocked
    .map(b => t('bench.benchBlockedTo', { fromDay: day(b.fromDay), toDay: day(b.toDay), why: b.why }))
    .join('; ')
  if (verdict === 'fits') return taken ? t('bench.startBy', { day: day(latestStart), taken }) : ''
  const words =
    verdict === 'late'
      ? t('bench.cannotBeReadyInTimeLatest', { day: day(latestStart) })
      : t('bench.startTodayToBeReadyIn')
  return t('bench.withADayForTheWork', { words, what: taken ? `; ${taken}` : '' })
}

export function runsIntoWords(period: BlockedPeriod): string {
  return t('bench.itWillNotBeFinishedBefore', {
    firstBlockedDay: day(period.fromDay),
    why: period.why,
    lastBlockedDay: day(period.toDay),
  })
}

/** What runs on a job by itself. */
export function timerWords(j: Pick<JobSummary, 'warmUp' | 'soakEndsAtMs'>, nowMs: number): string | null {
  if (j.soakEndsAtMs !== null)
    return j.soakEndsAtMs > nowMs
      ? t('bench.soakTestLeft', { duration: durationWords(j.soakEndsAtMs - nowMs) })
      : t('bench.soakTimer')
  if (!j.warmUp) return null
  return j.warmUp.warmAtMs > nowMs
    ? t('bench.warmingUpLeft', { duration: durationWords(j.warmUp.warmAtMs - nowMs) })
    : t('bench.warmFor', { duration: durationWords(nowMs - j.warmUp.warmAtMs) })
}
