import type { Measured, SsbFigures } from '../result'
import type { Series } from '../series'

export interface SsbInput {
  /** the longest stretch in which something is sent */
  readonly series: Series
  /** from the first moment that something is sent to the last */
  readonly whole: Series
  readonly noisePower: number
  /** suppressed carrier as it should be, in the channel [Hz]; null = not known */
  readonly nominalHz: number | null
  /** baseband zero of the recording, in the channel [Hz] */
  readonly centreHz: number
  readonly toneHz: number | null
  /** radio frequency of channel zero, or null */
  readonly channelHz: number | null
}

export interface SsbResult extends Measured<SsbFigures> {
  readonly suppressedHz: number | null
  /** envelope over one beat for a picture */
  readonly cycle: Float64Array | null
  readonly products: readonly {
    readonly order: number
    readonly offsetHz: number
    readonly dbBelowTone: number
  }[]
}

/** Where nothing can be looked for below a tone. */
export const NOTHING_BELOW = {
  imd3DbBelowTone: null,
  imd3DbBelowPep: null,
  imd5DbBelowTone: null,
  imd5DbBelowPep: null,
  imd7DbBelowTone: null,
  carrierDbBelowTone: null,
  carrierDbBelowPep: null,
  oppositeSidebandDb: null,
} as const

/** Where the carrier is and what the tones are against it. */
export function toneOffsets(
  { channelHz }: SsbInput,
  carrierHz: number | null,
  upper: boolean | null,
  tonesHz: readonly number[],
): Pick<SsbFigures, 'sideband' | 'suppressedCarrierHz' | 'tonesHz'> {
  const side = upper ? 'USB' : 'LSB'
  return {
    sideband: upper === null ? null : side,
    suppressedCarrierHz: carrierHz === null ? null : (channelHz ?? 0) + carrierHz,
    tonesHz: tonesHz.map(hz => (carrierHz === null ? hz : Math.abs(hz - carrierHz))).sort((a, b) => a - b),
  }
}
