import type { Message } from '../message'
import { powerDb } from '../quantity'
import type { LimitsOf } from './limits'

/** Standard uncertainties of figures, by the same names. */
export type UncertaintyOf<T> = {
  readonly [K in keyof T]?: NonNullable<T[K]> extends number
    ? number | null
    : NonNullable<T[K]> extends readonly unknown[]
      ? readonly number[]
      : { readonly [key: string]: number | null } | null
}

/** A figure group with the standard uncertainty of each of its numbers. */
export interface Measured<T> {
  readonly values: T
  readonly uncertainty: UncertaintyOf<T>
  /** of the main figures: what most of their uncertainty comes from */
  readonly limitedBy?: LimitsOf<T>
  readonly notes: readonly Note[]
}

/** Something that whoever reads the figures must know. */
export interface Note {
  readonly code: NoteCode | string
  readonly says: Message
}

export const NOTE_CODES = [
  'no-signal',
  'level-too-low',
  'overload',
  'too-short',
  'carrier-at-centre',
  'dc-removed',
  'image-not-separable',
  'image-corrected',
  'rate-suspected',
  'only-the-beginning',
  'only-at-centre',
  'no-tone',
  'two-tones',
  'hum-beside-tone',
  'hum-fm',
  'neighbour-beside',
  'narrowed',
  'spur-on-tone',
  'unequal-tones',
  'not-separable',
  'carrier-reference',
  'carrier-given',
  'phase-reversal',
  'pinched-off',
  'flat-topped',
  'pep-disagrees',
  'deviation-reference',
  'reference-unknown',
  'peak-includes-noise',
  'carrier-not-found',
  'carrier-assumed',
  'one-tone',
  'speech',
  'product-in-noise',
  'no-span',
  'adjacent-in-noise',
  'mask-power-assumed',
  'mask-not-judged',
  'audio-band',
  'off-nominal',
  'mode-guessed',
  'not-applicable',
] as const
export type NoteCode = (typeof NOTE_CODES)[number]

export const note = (code: NoteCode, says: Message): Note => ({ code, says })

/** A note where something holds, to be spread among others. */
export const noteIf = (holds: boolean, code: NoteCode, says: Message): Note[] =>
  holds ? [note(code, says)] : []

export interface Health {
  readonly clippedRatio: number
  readonly overload: boolean
  readonly dcOffset: number
  readonly iqGainDb: number | null
  readonly iqPhaseDeg: number | null
  readonly imageDbc: number | null
}

export interface CarrierFigures {
  /** null when the recording does not say what it was tuned to */
  readonly frequencyHz: number | null
  /** from the nominal frequency if that is given, else from the centre of the recording */
  readonly offsetHz: number
  readonly errorPpm: number | null
  readonly uncertaintyHz: number
  readonly levelDbfs: number
  readonly drift: {
    readonly startHz: number
    readonly endHz: number
    readonly finalHz: number | null
    readonly tauS: number | null
  } | null
}

/** Ratios, 1 = 100 %; depths against the mean envelope over whole cycles of the tone. */
export interface AmFigures {
  readonly depthPositive: number
  readonly depthNegative: number
  readonly depthTrough: number
  readonly depthFundamental: number | null
  /**
   * of the waveform, where no single tone explains it: extremes, and what 0.1 and 1 % of the time lie beyond
   */
  readonly peaks: {
    readonly crest: number
    readonly crest999: number
    readonly crest99: number
    readonly trough: number
    readonly trough999: number
    readonly trough99: number
  } | null
  /** the tone or the two tones that make up the modulation; empty on voice */
  readonly tonesHz: readonly number[]
  readonly pinchedRatio: number
  /** null where no tone tells what the crest should be */
  readonly flatTopRatio: number | null
  readonly pepDbfs: number
  readonly meanPowerDbfs: number
  readonly pepToCarrier: number
  readonly meanToCarrier: number
  readonly audioHz: number | null
  readonly thd: number | null
  readonly sinadDb: number | null
  /**
   * against the unmodulated carrier, where the recording holds a stretch of it (from startS on), or where its
   * level through the same receiver was given (startS null)
   */
  readonly unmodulated: {
    readonly depthPositive: number
    readonly depthNegative: number
    readonly carrierShift: number
    readonly startS: number | null
  } | null
  /** of a carrier that flips its phase; null for one that does not */
  readonly depthSynchronous: number | null
}

export interface FmFigures {
  readonly deviationPositiveHz: number | null
  readonly deviationNegativeHz: number | null
  readonly deviationFundamentalHz: number | null
  readonly deviationRmsHz: number | null
  readonly peaks: {
    readonly positiveHz: number
    readonly positive999Hz: number
    readonly positive99Hz: number
    readonly negativeHz: number
    readonly negative999Hz: number
    readonly negative99Hz: number
  } | null
  readonly tonesHz: readonly number[]
  readonly carsonHz: number | null
  readonly carrierLineDbc: number | null
  readonly residualHz: number | null
  readonly audioHz: number | null
  readonly thd: number | null
  readonly sinadDb: number | null
}

export interface SsbFigures {
  readonly sideband: 'USB' | 'LSB' | null
  readonly suppressedCarrierHz: number | null
  readonly pepToMeanDb: number | null
  readonly tonesHz: readonly number[]
  readonly imd3DbBelowTone: number | null
  readonly imd3DbBelowPep: number | null
  readonly imd5DbBelowTone: number | null
  readonly imd5DbBelowPep: number | null
  readonly imd7DbBelowTone: number | null
  readonly carrierDbBelowTone: number | null
  readonly carrierDbBelowPep: number | null
  readonly oppositeSidebandDb: number | null
  readonly pepDbfs: number | null
  readonly meanPowerDbfs: number | null
  /** figures that are a bound: what was looked for is not seen, and lies this far below at least */
  readonly bounds: readonly (keyof SsbFigures)[]
}

export interface AudioFigures {
  readonly fundamentalHz: number | null
  readonly levelDbfs: number
  readonly sinadDb: number | null
  readonly sinadVoiceDb: number | null
  readonly thd: number | null
  readonly snrDb: number | null
  readonly harmonicsDbc: readonly number[]
}

export interface AdjacentFigure {
  readonly offsetHz: number
  readonly bandwidthHz: number
  readonly dbc: number
  /** what was read there is not the set's alone: noise of the receiver, or a stranger */
  readonly bound: 'at-most' | null
}
export interface MaskFigure {
  readonly ruleSet: string
  readonly pass: boolean | null
  readonly worstOffsetHz: number | null
  readonly worstMarginDb: number | null
}
export interface HarmonicFigure {
  readonly order: number
  readonly dbc: number
}
export interface SpectrumFigures {
  /** lines at multiples of the carrier, where samples of the radio frequency itself hold them */
  readonly harmonics: readonly HarmonicFigure[]
  readonly occupiedBandwidthHz: number | null
  readonly window: string
  readonly rbwHz: number
  readonly adjacent: readonly AdjacentFigure[]
  readonly mask: MaskFigure | null
}

/**
 * Noise beside a signal is that under it within this share, as a standard uncertainty: a receiver may shape
 * it.
 */
export const NOISE_KNOWN_TO = 0.3

export const ratioToDb = (ratio: number) => powerDb(Math.max(ratio, 1e-30))
