import { t } from '#shared/i18n'
import { createEvents, type DateArray, type EventAttributes } from 'ics'
import { validEvents, type JobEvent } from '#core/run'
import { runningSoak, waits } from '#core/work'
import type { Job } from '#shared/job'
import { jobTag } from '#shared/jobTag'
import { WAIT_WORDS } from '#shared/words/workWords'
import { pool } from '../db/pool'
import { selectJobsHere } from '../db/queries/job'
import { selectEvents } from '../db/queries/jobEvent'
import { baseSheets } from './sheetBook'

/** Promised days, expected parts and ends of soaks of everything on the bench, as iCalendar (RFC 5545). */
export async function benchCalendar(): Promise<string> {
  const jobs = await selectJobsHere(pool)
  const [events, sheetOf] = await Promise.all([
    selectEvents(
      pool,
      jobs.map(j => j.id),
    ),
    baseSheets(pool, jobs),
  ])
  const { error, value } = createEvents(
    jobs.flatMap(job => entriesOf(job, sheetOf(job).model, validEvents(events.get(job.id)!))),
    { calName: t('server.diapasonBench'), productId: 'diapason' },
  )
  if (error) throw error
  return value!
}

function entriesOf(job: Job, model: string, events: readonly JobEvent[]): EventAttributes[] {
  const name = `${jobTag(job.number)} ${model}`
  const soak = runningSoak(events)
  return [
    ...(job.promisedOn
      ? [wholeDay(`promised-${job.id}`, job.promisedOn, t('server.dueFor', { name, owner: job.owner }))]
      : []),
    ...waits(events)
      .filter(w => w.ended === null && w.begun.untilDay)
      .map(w =>
        wholeDay(
          `wait-${w.begun.id}`,
          w.begun.untilDay!,
          `${name}: ${t(WAIT_WORDS[w.begun.waitsFor])}, ${w.begun.text}`,
        ),
      ),
    ...(soak
      ? [
          {
            uid: `soak-${soak.begun.id}@diapason`,
            title: t('server.soakTestEnds', { name }),
            start: soak.endsAtMs,
            startInputType: 'utc' as const,
            duration: { minutes: 15 },
          },
        ]
      : []),
  ]
}

function wholeDay(id: string, isoDay: string, title: string): EventAttributes {
  const [year, month, day] = isoDay.split('-').map(Number) as [number, number, number]
  const next = new Date(Date.UTC(year, month - 1, day + 1))
  const end: DateArray = [next.getUTCFullYear(), next.getUTCMonth() + 1, next.getUTCDate()]
  return { uid: `${id}@diapason`, title, start: [year, month, day], end }
}
