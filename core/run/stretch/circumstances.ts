import { quantityInfo, type Quantity } from '../../quantity'
import type { OperatingPoint } from '../../sheet'

/** What has to stay for readings to belong together. */
export interface Circumstances extends OperatingPoint {
  readonly keyed: boolean
  /** adjusters turned and menu values written so far */
  readonly turns: number
  /** where a probe sits, in the words of the row */
  readonly also: string | null
}

/** Names of a stretch: readings with the same `stretch` were taken without a change between them. */
export interface StretchNames {
  readonly stretch: string
  /** the same but for the key: a drift goes on while a set is unkeyed */
  readonly alike: string
}

/**
 * What a reading was taken under, as two names that change when anything changes that this quantity depends
 * on. The reference runs whatever the mode and the channel; what needs no transmitter does not mind the key.
 * @param instrument with its range; another instrument is another stretch
 */
export function stretchNames(quantity: Quantity, at: Circumstances, instrument: string | null): StretchNames {
  const { keyed, turns, ...state } = at
  const ofTransmitter = quantityInfo(quantity).needs.some(n => n === 'rf' || n === 'key')
  const alike = JSON.stringify([instrument, turns, quantity === 'referenceHz' ? null : state])
  return { alike, stretch: ofTransmitter ? `${keyed ? 'keyed' : 'unkeyed'} ${alike}` : alike }
}
