import type { CarrierInChannel } from './carrier/carrierFigures'
import type { PhaseTrack } from './carrier/phaseTrack'
import type { Note } from './result'
import type { Series } from './series'

/** Ripple of the channel at its middle [dB]. */
export const LEVEL_FLOOR_DB = 5e-4
/** The noise floor beside a channel is that inside it within this factor of power. */
export const NOISE_SURELY = 4
/** Noise that is measured under the signal is known to this factor of power. */
export const UNDER_SURELY = 1.5

export interface ModeInput {
  /** strongest line at 0 Hz within a few hertz */
  readonly channel: Series
  readonly passHz: number
  readonly noisePower: number
  /** band that this noise fills [Hz] */
  readonly noiseBandHz: number
  /**
   * amplitude at the edge of a narrowed channel, against the whole: what was cut there or leaked in; 0 = not
   * narrowed
   */
  readonly edgeRatio: number
  /** middle of the recording, in the channel [Hz]; null where there is none */
  readonly centreHz: number | null
  readonly toneHz: number | null
  /** level of the unmodulated carrier that was given [dBFS] */
  readonly givenDbfs: number | null
}

export interface ModeResult<T> {
  /** of the level of the carrier, standard [dB] */
  readonly levelDb: number
  readonly carrier: CarrierInChannel
  readonly result: T
  readonly track: PhaseTrack | null
  readonly keyed: Series
  readonly power: number
  readonly notes: readonly Note[]
}

type DriftFigures = NonNullable<CarrierInChannel['drift']>
/** A drift as it is seen from another frequency. */
export const shiftDrift = (d: DriftFigures, hz: number): DriftFigures => ({
  ...d,
  startHz: d.startHz + hz,
  endHz: d.endHz + hz,
  finalHz: d.finalHz === null ? null : d.finalHz + hz,
})
