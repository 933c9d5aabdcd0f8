import type { Quantity } from '#core/quantity'
import { clockTime } from '#shared/words/runWords'
import type { Freshness, LiveEntry } from './liveBook'

/** The entry that is shown for a quantity, with how it stands. */
export interface ShownEntry {
  readonly entry: LiveEntry
  readonly freshness: Freshness
}

const STATUS_WORDS: Record<LiveEntry['status'], string> = {
  'no-signal': 'no signal: key the set',
  'overload': 'overload: change the range',
  'garbled': 'the instrument sends no valid number',
  'ok': '',
}

/** Why an instrument that reads a quantity gives nothing to take now; empty = it does. */
export function noReadingWords({ entry, freshness }: ShownEntry): string {
  return freshness === 'stale'
    ? `${entry.instrument} not updating, last read ${clockTime(entry.receivedAtMs)}`
    : STATUS_WORDS[entry.status]
}

/** Why no quantity of a row can be taken from an instrument, each reason once; null = none reads them. */
export function whyNoneLive(
  quantities: readonly Quantity[],
  shown: (quantity: Quantity) => ShownEntry | null,
): string | null {
  const reasons = quantities.flatMap(q => {
    const best = shown(q)
    if (!best) return []
    const words = noReadingWords(best)
    // What does not update names its instrument already.
    return [best.freshness === 'stale' ? words : `${best.entry.instrument}: ${words}`]
  })
  return reasons.length === 0 ? null : [...new Set(reasons)].join('. ')
}
