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
  return events.findLastIndex(e => e.kind === 'part-changed' || e.kind === 'treated')
}
