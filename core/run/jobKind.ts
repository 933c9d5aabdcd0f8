import type { JobKind } from './jobChange'
import type { JobEvent } from './jobEvent'
import { validEvents } from './validEvents'

/** What a job is while nobody has said it: everything is asked. */
export const USUAL_JOB_KIND: JobKind = 'full-service'

/** The last word counts: a check that becomes a repair stays one job. */
export function jobKindOf(events: readonly JobEvent[]): JobKind {
  return validEvents(events).findLast(e => e.kind === 'job-kind-set')?.jobKind ?? USUAL_JOB_KIND
}

/**
 * Place of the last entry by which the set is not any more what was measured before it, whatever was
 * measured: a part replaced, a spot treated. Turned adjusters make single readings stale instead. -1 = none.
 */
export function lastMending(events: readonly JobEvent[]): number {
  return events.findLastIndex(isMending)
}

const isMending = (e: JobEvent) => e.kind === 'part-changed' || e.kind === 'treated'

/**
 * Place of the first entry by which the set is not any more as it came: mended, or put right while it was
 * looked at. Infinity = none.
 */
export function firstMending(events: readonly JobEvent[]): number {
  const states = new Map(
    events.flatMap(e => (e.kind === 'item-inspected' ? [[e.itemId, e.state] as const] : [])),
  )
  const first = events.findIndex(
    e =>
      isMending(e) ||
      (e.kind === 'item-inspected' && e.state === 'treated' && states.get(e.itemId) === 'treated'),
  )
  return first < 0 ? Infinity : first
}
