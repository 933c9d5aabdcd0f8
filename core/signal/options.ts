import type { EmissionMaskPart, Mode } from '../rules'
import type { SignalMode } from './classify'

/** Rate of the channel that is measured [samples a second]: 22 kHz flat on either side. */
export const CHANNEL_RATE_HZ = 64_000

/** What is known of a recording beside its samples. */
export interface MeasureOptions {
  readonly as: SignalMode | 'audio' | 'auto'
  /** frequency of the channel, or of the suppressed carrier [Hz] */
  readonly nominalHz: number | null
  /** the tone that was fed in, as far as known [Hz] */
  readonly toneHz: number | null
  /** raster of the channels [Hz] */
  readonly spacingHz: number
  /** width that is measured, both sides together [Hz]; null = as wide as what lies beside allows */
  readonly channelWidthHz: number | null
  /**
   * level of the unmodulated carrier through the same receiver at the same gain [dBFS], from another
   * recording; null = not known
   */
  readonly unmodulatedDbfs: number | null
  /** bare carrier of the same key-down [W]; PEP on SSB */
  readonly carrierW: number | null
  /** reference of the receiver, standard uncertainty [ppm]; null = not known, and not in the figures */
  readonly referencePpm: number | null
  /** rule set whose mask is judged, with the mask for a mode and power; null = none */
  readonly mask: {
    readonly ruleSetId: string
    readonly parts: (mode: Mode, powerW: number) => readonly EmissionMaskPart[] | null
  } | null
}

export const DEFAULT_OPTIONS: MeasureOptions = {
  as: 'auto',
  nominalHz: null,
  toneHz: null,
  spacingHz: 10_000,
  channelWidthHz: null,
  unmodulatedDbfs: null,
  carrierW: null,
  referencePpm: null,
  mask: null,
}

export const MEASURING_PHASES = ['looking', 'tuning-in', 'measuring', 'done'] as const
export type MeasuringPhase = (typeof MEASURING_PHASES)[number]

/** Told while a recording is measured; asked whether to go on. */
export interface Progress {
  readonly tell: (share: number, phase: MeasuringPhase) => void
  readonly cancelled: () => boolean
}
export const SILENT: Progress = { tell: () => undefined, cancelled: () => false }
