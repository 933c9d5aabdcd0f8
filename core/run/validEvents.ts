import type { JobEvent } from './jobEvent'

/**
 * Entries that cannot be struck out: rows have their readings struck one by one, a model is changed back,
 * and what was signed or struck stays. The view `counted_event` of the database says the same.
 */
const LASTING: readonly JobEvent['kind'][] = [
  'row-taken',
  'reading-struck',
  'handed-over',
  'event-struck',
  'model-changed',
]

export function canBeStruck(event: JobEvent): boolean {
  return !LASTING.includes(event.kind)
}

/**
 * The events that count, in the order in which they were: those that were struck out are left out, and those
 * of a trainee until they are released.
 */
export function validEvents(events: readonly JobEvent[]): readonly JobEvent[] {
  const struck = new Set(events.flatMap(e => (e.kind === 'event-struck' ? [e.eventId] : [])))
  const left = struck.size === 0 ? events : events.filter(e => !struck.has(e.id) || !canBeStruck(e))
  return left.some(e => e.unreleased) ? released(left) : left
}

/** The last review of an entry decides. */
function released(events: readonly JobEvent[]): readonly JobEvent[] {
  const count = new Map(
    events.flatMap(e =>
      e.kind === 'entries-reviewed' ? e.eventIds.map(id => [id, e.released] as const) : [],
    ),
  )
  return events.filter(e => !e.unreleased || count.get(e.id) === true)
}

/**
 * Why an earlier reading was struck when its row was taken once more: it was no misreading, the later one
 * counts.
 */
export const TAKEN_AGAIN = 'taken again'
/** Common reasons for striking out a reading, offered where one is asked for. */
export const STRIKE_REASONS: readonly string[] = [
  'misread',
  'wrong channel or mode',
  'wrong meter range',
  'set not keyed',
  TAKEN_AGAIN,
]
