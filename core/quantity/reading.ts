import type { Quantity } from './quantities'

/**
 * A needle at its stop, or too low on the scale to be read, is a bound: the value is at least, or at most,
 * what is written.
 */
export const BOUNDS = ['at-least', 'at-most'] as const
export type Bound = (typeof BOUNDS)[number]

/**
 * How errors lie about a value: an accuracy class holds them evenly within bounds, noise lets few lie far
 * out.
 */
export const SPREADS = ['rectangular', 'normal'] as const
export type Spread = (typeof SPREADS)[number]

/**
 * A measured value in SI with its standard uncertainty; null = nobody knows how good it is (typed without an
 * instrument).
 */
export interface Measured {
  readonly value: number
  readonly standardUncertainty: number | null
  /** undefined = a value */
  readonly bound?: Bound | undefined
  /** undefined = rectangular: what instruments promise is a bound */
  readonly spread?: Spread | undefined
}

export type ReadingSource = 'instrument' | 'typed'

/** One number from one instrument. Conditions and phase belong to the row it was taken in. */
export interface Reading extends Measured {
  /** client-made UUID: sent twice, stored once */
  readonly id: string
  readonly quantity: Quantity
  readonly source: ReadingSource
  /** name of the instrument as on the bench, or null when typed without one */
  readonly instrument: string | null
  /**
   * the scale that was in use, at the set [SI]; undefined = the instrument has none that matters, or nobody
   * said
   */
  readonly fullScale?: number | undefined
}

/** A reading with which arithmetic can be done: no needle at its stop, and not nothing at all. */
export const figureOf = (reading: Reading | null): Reading | null =>
  reading && reading.bound === undefined && reading.value > 0 ? reading : null
