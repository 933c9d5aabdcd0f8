import type { Message } from '#core/message'
import type { OwnProfile } from './instrument'
import type { InstrumentSetup } from '#core/instrument'
import type { Quantity } from '#core/quantity'

/** What the gateway publishes over Server-Sent Events. */

export type LinkState = 'connecting' | 'live' | 'silent'

/** One quantity of one poll. A missing signal is news too, not an error. */
export interface LiveReading {
  readonly quantity: Quantity
  readonly status: 'ok' | 'no-signal' | 'overload' | 'garbled'
  /** [SI], null unless ok */
  readonly value: number | null
  readonly standardUncertainty: number | null
}

/** Event "poll": a whole round of queries to one instrument. */
export interface LivePoll {
  readonly instrumentId: string
  readonly instrument: string
  readonly readings: readonly LiveReading[]
  /** when the last byte of the last answer arrived, epoch milliseconds with fractions */
  readonly receivedAtMs: number
}

/** Event "link": an instrument began or ceased to answer. */
export interface LiveLink {
  readonly instrumentId: string
  readonly instrument: string
  readonly profileId: string
  /** its own queries; null = as shipped */
  readonly ownProfile?: OwnProfile | null
  readonly setup: InstrumentSetup
  readonly state: LinkState
  readonly sinceMs: number
  /** why it is silent; null = it is not */
  readonly detail: Message | null
  readonly identity: string | null
}

/** Event "hello": every link as it stands when a listener joins; instruments not named in it are gone. */
export interface LiveHello {
  readonly links: readonly LiveLink[]
}
