import type { Series } from '../series'
import type { FmFigures, Measured } from '../result'

/** Audio of a deviation is judged up to here [Hz]; noise of a discriminator grows with frequency. */
export const FM_AUDIO_HZ = 5000
/** Residual FM is what is left between these [Hz] (common practice). */
export const RESIDUAL_HZ = [50, 3000] as const
/**
 * What stands at the edge of a narrowed channel moves a peak by this share of its own deviation, as a
 * standard uncertainty.
 */
export const EDGE_SHARE = 0.6

export interface FmInput {
  /** the modulated stretch */
  readonly series: Series
  readonly hz: Float64Array
  /** the tone that explains the modulation; null on anything else */
  readonly toneHz: number | null
  readonly tonesHz: readonly number[]
  /** hum beside the tone [Hz] */
  readonly hum: number
  /** what peaks are counted from, in the channel [Hz] */
  readonly referenceHz: number
  readonly isNominal: boolean
  readonly meanHz: number
  readonly noisePower: number
  /** band that this noise fills [Hz] */
  readonly noiseBandHz: number
  /** amplitude at the edge of a narrowed channel, against the whole */
  readonly edgeRatio: number
}

export interface FmResult extends Measured<FmFigures> {
  /** one cycle of the deviation for a picture */
  readonly cycle: Float64Array | null
}
