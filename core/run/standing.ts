import type { JobEvent } from './jobEvent'

/** Entries that cannot be struck out: rows have their readings struck one by one, and what was signed or struck stays. */
const LASTING: readonly JobEvent['kind'][] = ['row-taken', 'reading-struck', 'handed-over', 'event-struck']

export function canBeStruck(event: JobEvent): boolean {
  return !LASTING.includes(event.kind)
}

/** The events that count: those that were struck out are left out, in the order in which they were. */
export function standing(events: readonly JobEvent[]): readonly JobEvent[] {
  const struck = new Set(events.flatMap(e => e.kind === 'event-struck' ? [e.eventId] : []))
  return struck.size === 0 ? events : events.filter(e => !struck.has(e.id) || !canBeStruck(e))
}
