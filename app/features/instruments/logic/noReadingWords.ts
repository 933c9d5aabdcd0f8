import { t, type MessageCode } from '#shared/i18n'
import type { Quantity } from '#core/quantity'
import { clockTime } from '#shared/words/dateWords'
import type { Freshness, LiveEntry } from './liveBook'

/** The entry that is shown for a quantity, with how it stands. */
export interface ShownEntry {
  readonly entry: LiveEntry
  readonly freshness: Freshness
}

const STATUS_WORDS: Record<Exclude<LiveEntry['status'], 'ok'>, MessageCode> = {
  'no-signal': 'instruments.noSignalKeyTheSet',
  'overload': 'instruments.overloadChangeTheRange',
  'garbled': 'instruments.theInstrumentSendsNoValidNumber',
}

/** Why an instrument that reads a quantity gives nothing to take now; empty = it does. */
export function noReadingWords({ entry, freshness }: ShownEntry): string {
  if (freshness === 'stale')
    return t('instruments.notUpdatingLastRead', {
      instrument: entry.instrument,
      clockTime: clockTime(entry.receivedAtMs),
    })
  return entry.status === 'ok' ? '' : t(STATUS_WORDS[entry.status])
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
