import type { JobEvent } from './jobEvent'
import { validEvents } from './validEvents'

/**
 * What a trainee may enter on a customer's set, and whether it waits until somebody has released it. What was
 * turned, switched on or keyed has happened, and only takes trust away from readings: it counts at once.
 */
const OF_TRAINEE = {
  'row-taken': 'waits',
  'note': 'waits',
  'item-inspected': 'waits',
  'test-made': 'waits',
  'position-noted': 'waits',
  'settings-noted': 'waits',
  'complaint-tried': 'waits',
  'trial-noted': 'waits',
  'set-altered': 'counts',
  'adjuster-turned': 'counts',
  'unlisted-turned': 'counts',
  'warm-up-begun': 'counts',
  'keyed': 'counts',
} as const satisfies Partial<Record<JobEvent['kind'], 'waits' | 'counts'>>

const ofTrainee = (kind: JobEvent['kind']) =>
  (OF_TRAINEE as Partial<Record<JobEvent['kind'], 'waits' | 'counts'>>)[kind] ?? null

export const mayTraineeEnter = (kind: JobEvent['kind']): boolean => ofTrainee(kind) !== null

/** An entry of a trainee on a customer's set, marked where it waits for its release. */
export function asOfTrainee<E extends JobEvent>(event: E): E {
  return ofTrainee(event.kind) === 'waits' ? { ...event, unreleased: true } : event
}

/** Entries that nobody has released or turned down yet, in their order. */
export function awaitingRelease(events: readonly JobEvent[]): JobEvent[] {
  const struck = new Set(events.flatMap(e => (e.kind === 'event-struck' ? [e.eventId] : [])))
  const reviewed = new Set(
    validEvents(events).flatMap(e => (e.kind === 'entries-reviewed' ? e.eventIds : [])),
  )
  return events.filter(e => e.unreleased && !reviewed.has(e.id) && !struck.has(e.id))
}
