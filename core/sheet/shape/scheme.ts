import type { Quantity } from '../../quantity'
import type { Mode } from '../../rules'

/** An oscillator of the mixing scheme. */
export interface Oscillator {
  readonly id: string
  readonly name: string
  readonly nominalHz: number
  /** what pulls it; null = nothing does */
  readonly adjuster: string | null
  /** how far off it may be before anything is read [ppm] */
  readonly priorPpm: number
}

/**
 * A frequency as a sum over the oscillators: (factor + stepFactor x N) of each, N = steps of the channel
 * above the base.
 */
export interface MixedFrequency {
  readonly id: string
  readonly name: string
  /** the quantity whose readings tell it, in which mode; null = typed by hand, or any mode */
  readonly quantity: Quantity | null
  readonly mode: Mode | null
  readonly terms: readonly {
    readonly oscillator: string
    readonly factor: number
    readonly stepFactor: number
  }[]
}

/** baseHz = where N is nought: what the mixing oscillators alone would make [Hz]. */
export interface MixingScheme {
  readonly baseHz: number
  readonly stepHz: number
  readonly oscillators: readonly Oscillator[]
  readonly frequencies: readonly MixedFrequency[]
}
