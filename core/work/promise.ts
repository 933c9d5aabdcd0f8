import type { Stage } from './stages'

/** Other work takes the bench, from the first day to the last (ISO days). */
export interface BlockedPeriod {
  readonly id: string
  readonly fromDay: string
  readonly toDay: string
  readonly why: string
}

/** Whether a promise can be kept: the last day on which work must begin, counted backward from it. */
export interface Outlook {
  readonly verdict: 'fits' | 'tight' | 'late'
  /** last day of work that keeps the promise (ISO day) */
  readonly latestStart: string
  /** periods that lie between now and the promised day */
  readonly blocked: readonly BlockedPeriod[]
}

/** Work that is done in one day: looking, measuring, mending, aligning (common practice). */
const WORK: readonly Stage[] = ['intake', 'inspection', 'as-found', 'findings', 'repair', 'align']

/**
 * Bench days that are still needed: one for measuring and aligning, one for the soak, before which it is
 * measured as left (common practice).
 */
function benchDays(ahead: readonly Stage[]): number {
  const soaks = ahead.includes('soak')
  const works = ahead.some(s => WORK.includes(s) || (s === 'as-left' && !soaks))
  return (works ? 1 : 0) + (soaks ? 1 : 0)
}

const DAY_MS = 86_400_000
/** A calendar is not looked through further than this. */
const MAX_DAYS = 800

const dayBefore = (isoDay: string, days = 1) =>
  new Date(Date.parse(isoDay) - days * DAY_MS).toISOString().slice(0, 10)
const isBlocked = (isoDay: string, blocked: readonly BlockedPeriod[]) =>
  blocked.find(b => b.fromDay <= isoDay && isoDay <= b.toDay)

/**
 * Backward from the promised day: hand-over, soak, work, without the days on which the bench is taken (W04,
 * W06).
 * @param ahead phases that are still to be done
 * @param freeFrom day on which work can begin: today, or when parts and answers are there
 */
export function outlook(
  promisedOn: string,
  ahead: readonly Stage[],
  freeFrom: string,
  blocked: readonly BlockedPeriod[],
): Outlook {
  const latestStart = latestStartFor(promisedOn, benchDays(ahead), blocked)
  const inTime = latestStart === freeFrom ? 'tight' : 'fits'
  const verdict = latestStart < freeFrom ? 'late' : inTime
  return {
    verdict,
    latestStart,
    blocked: blocked.filter(b => b.fromDay <= promisedOn && b.toDay >= freeFrom),
  }
}

/** The last day of work that leaves enough free days until the promised one. */
export function latestStartFor(
  promisedOn: string,
  benchDays: number,
  blocked: readonly BlockedPeriod[],
): string {
  let day = promisedOn
  let left = benchDays
  for (let i = 0; i < MAX_DAYS && (left > 0 || isBlocked(day, blocked)); i++) {
    day = dayBefore(day)
    if (!isBlocked(day, blocked)) left--
  }
  return day
}

export function latestStart(
  promisedOn: string,
  ahead: readonly Stage[],
  blocked: readonly BlockedPeriod[],
): string {
  return latestStartFor(promisedOn, benchDays(ahead), blocked)
}

/**
 * A job without a promise that cannot end before the bench is taken waits until the end of it (F63).
 * @returns the period that it runs into, or null
 */
export function runsInto(
  ahead: readonly Stage[],
  freeFrom: string,
  blocked: readonly BlockedPeriod[],
): BlockedPeriod | null {
  const days = Array.from({ length: Math.max(1, benchDays(ahead)) }, (_, i) => dayBefore(freeFrom, -i))
  for (const day of days) {
    const period = isBlocked(day, blocked)
    if (period) return period
  }
  return null
}
