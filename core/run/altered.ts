import type { JobEvent } from './jobEvent'
import type { Settlement } from './settlement'

/** Open item of something that was changed on purpose. */
export const putBackItem = (eventId: string): string => `put-back:${eventId}`

/**
 * Place of the entry since which everything that was changed on purpose is back: what was read before it says
 * nothing of how the set leaves. -1 = nothing was changed; Infinity = something still is.
 */
export function lastPutBack(events: readonly JobEvent[], settled: readonly Settlement[]): number {
  return Math.max(
    -1,
    ...events.map((e, order) => (e.kind === 'set-altered' ? backAt(settled, e.id, order) : -1)),
  )
}

/** Words said before it was changed speak of something else. */
const backAt = (settled: readonly Settlement[], eventId: string, from: number): number =>
  settled.find(s => s.itemId === putBackItem(eventId) && s.order > from)?.order ?? Infinity
