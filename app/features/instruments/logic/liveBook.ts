import type { Quantity } from '#core/quantity'
import type { LiveHello, LiveLink, LivePoll, LiveReading } from '#shared/live'

/** A live reading with where and when it came from. */
export interface LiveEntry extends LiveReading {
  readonly instrumentId: string
  readonly instrument: string
  readonly receivedAtMs: number
}

/** Older than this is no longer live, whatever the link says [ms]. */
export const LIVE_FOR_MS = 1500

/** The latest of everything that the gateway told. Plain data: tested without Vue. */
export interface LiveBook {
  readonly links: ReadonlyMap<string, LiveLink>
  readonly entries: ReadonlyMap<string, LiveEntry>
}

export const EMPTY_BOOK: LiveBook = { links: new Map(), entries: new Map() }

const key = (instrumentId: string, quantity: Quantity) => `${instrumentId}/${quantity}`

export function withHello(book: LiveBook, hello: LiveHello): LiveBook {
  const links = new Map(hello.links.map(l => [l.instrumentId, l]))
  return { links, entries: new Map([...book.entries].filter(([, e]) => links.has(e.instrumentId))) }
}

export function withLink(book: LiveBook, link: LiveLink): LiveBook {
  return { ...book, links: new Map(book.links).set(link.instrumentId, link) }
}

export function withPoll(book: LiveBook, poll: LivePoll): LiveBook {
  const entries = new Map(book.entries)
  for (const r of poll.readings)
    entries.set(key(poll.instrumentId, r.quantity), {
      ...r,
      instrumentId: poll.instrumentId,
      instrument: poll.instrument,
      receivedAtMs: poll.receivedAtMs,
    })
  return { ...book, entries }
}

/** How an entry stands: only a live one may be taken or shown as if it were now. */
export type Freshness = 'live' | 'stale'

export function freshness(book: LiveBook, entry: LiveEntry, nowMs: number): Freshness {
  return book.links.get(entry.instrumentId)?.state === 'live' && nowMs - entry.receivedAtMs < LIVE_FOR_MS
    ? 'live'
    : 'stale'
}

/** The entry to show for a quantity: a live one with a value first, then a live one, then the most recent. */
export function bestEntry(
  book: LiveBook,
  quantity: Quantity,
  nowMs: number,
): { entry: LiveEntry; freshness: Freshness } | null {
  const all = [...book.entries.values()]
    .filter(e => e.quantity === quantity)
    .map(entry => ({ entry, freshness: freshness(book, entry, nowMs) }))
  const rank = (x: { entry: LiveEntry; freshness: Freshness }) =>
    (x.freshness === 'live' ? 2 : 0) + (x.entry.status === 'ok' ? 1 : 0)
  all.sort((a, b) => rank(b) - rank(a) || b.entry.receivedAtMs - a.entry.receivedAtMs)
  return all[0] ?? null
}
