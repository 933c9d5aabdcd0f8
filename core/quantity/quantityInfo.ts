import type { Topic } from './topic'

/**
 * rf = a signal at the antenna socket; key = transmitter on, with or without a signal; tone = audio drive;
 * generator = RF at the antenna socket.
 */
export const NEEDS = ['rf', 'key', 'tone', 'generator'] as const
export type Need = (typeof NEEDS)[number]

/**
 * Slot on the rail of live readings: deviation and depth share one; those with a rank are there only while
 * they are read, the most wanted first.
 */
export type RailSlot =
  | { readonly slot: 'first' | 'deviation' | 'depth' | 'then'; readonly label?: string }
  | { readonly slot: 'when-read'; readonly rank: number; readonly label?: string }

/** How a quantity is shown: the unit it is read in at the bench and the factor from SI. */
export interface QuantityInfo {
  readonly label: string
  readonly symbol: string
  readonly siUnit: 'Hz' | 'W' | 'V' | 'A' | 's' | 'ratio' | 'dB' | 'S' | 'code'
  readonly shownUnit: string
  /** shown value = SI value x perSi */
  readonly perSi: number
  /** smallest SI value that can occur; typed readings below it are refused */
  readonly min: number
  /** largest SI value that a bench of this kind can meet; typed readings above it are refused */
  readonly max: number
  /** what the set and the bench have to provide before there is anything to read; see {@link Need} */
  readonly needs: readonly Need[]
  /**
   * a reading beyond this end of the range is the noise floor of the instrument: kept as a bound, not refused
   */
  readonly floor?: 'min' | 'max'
  /** what of the set it tells about, without modulation and at high power */
  readonly topic: Topic
  /** with a shorter label where there is one */
  readonly rail?: RailSlot
  /** as an owner would call it; without one an owner is not told of it */
  readonly ownerWord?: string
}
