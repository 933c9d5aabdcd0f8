import type { JobEvent } from './jobEvent'
import type { JobWithdrawn } from './jobChange'
import { validEvents } from './validEvents'

/** By what a job was withdrawn; null = it counts. */
export function withdrawal(events: readonly JobEvent[]): JobWithdrawn | null {
  return validEvents(events).findLast(e => e.kind === 'job-withdrawn') ?? null
}
