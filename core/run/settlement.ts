import type { JobEvent } from './jobEvent'

/** Words that settled an open item, and when. */
export interface Settlement {
  readonly itemId: string
  readonly text: string
  /** place of its entry among all that count */
  readonly order: number
}

/** What was settled in words, one by one or several at once, in order. */
export function settlements(events: readonly JobEvent[]): Settlement[] {
  return events.flatMap((e, order) => {
    if (e.kind === 'item-settled') return [{ itemId: e.itemId, text: e.text, order }]
    if (e.kind !== 'items-settled') return []
    return e.itemIds.map(itemId => ({ itemId, text: e.text, order }))
  })
}
