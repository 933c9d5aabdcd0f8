import { message } from '../../message'
import { dbToVoltageRatio } from '../../quantity'
import { meanPower, type Series } from '../series'
import { note, type AmFigures, type Measured, type Note } from '../result'

/** Demodulated tones are judged up to here [Hz]. */
export const AM_AUDIO_HZ = 10_000

/** A stretch of bare carrier is found in blocks of this length [s]. */
const STRETCH_S = 0.02

export interface AmInput {
  /** the modulated stretch, its carrier at 0 Hz with a phase that stands still */
  readonly modulated: Series
  /** a stretch of bare carrier in the same channel, with where it begins in the recording */
  readonly bare: { readonly series: Series; readonly startS: number } | null
  /** level of the unmodulated carrier that was given [dBFS]; one in the recording itself comes before it */
  readonly givenDbfs: number | null
  /** noise power per sample */
  readonly noisePower: number
  /** how much more of it there may be under the signal than beside it */
  readonly noiseDoubt: number
  /** band that this noise fills [Hz] */
  readonly noiseBandHz: number
  /** amplitude at the edge of a narrowed channel, against the whole */
  readonly edgeRatio: number
  /** the tone that explains the modulation; null on anything else */
  readonly toneHz: number | null
  /** the tone, or the two that make up the modulation */
  readonly tonesHz: readonly number[]
  /** hum beside the tone, amplitude in the unit of the envelope */
  readonly hum: number
  /** flat half-width of the channel [Hz] */
  readonly passHz: number
  /** middle of the recording, in the channel [Hz]: where an offset of the receiver stands */
  readonly centreHz: number | null
}

export interface AmResult extends Measured<AmFigures> {
  readonly meanEnvelope: number
  /** standard uncertainty of it by noise [ratio] */
  readonly meanUncertaintyRatio: number
  /** one cycle for a picture; null on voice */
  readonly cycle: { readonly envelope: Float64Array; readonly inPhase: Float64Array } | null
}

/**
 * How far the gain of a receiver moves between two recordings, standard deviation [ratio of amplitude] (from
 * memory).
 */
const GAIN_MOVES = 0.01

/** A carrier without modulation. */
export interface BareCarrier {
  /** its size in the unit of the envelope */
  readonly carrier: number
  /** where it begins in the recording; null = its level was given */
  readonly startS: number | null
  /** of the size itself, standard [ratio] */
  readonly uncertainty: number
}

/** The bare carrier of the same recording where it holds one, else the one that was given. */
export function bareCarrier({ bare, givenDbfs, noisePower }: AmInput): BareCarrier | null {
  if (bare)
    return {
      carrier: Math.sqrt(Math.max(meanPower(bare.series) - noisePower, 1e-30)),
      startS: bare.startS,
      uncertainty: 0,
    }
  return givenDbfs === null
    ? null
    : { carrier: dbToVoltageRatio(givenDbfs), startS: null, uncertainty: GAIN_MOVES }
}

/** Depths against it. */
export function againstBare(
  bare: BareCarrier | null,
  crest: number,
  trough: number,
  mean: number,
): AmFigures['unmodulated'] {
  return (
    bare && {
      depthPositive: crest / bare.carrier - 1,
      depthNegative: 1 - trough / bare.carrier,
      carrierShift: mean / bare.carrier - 1,
      startS: bare.startS,
    }
  )
}

/** Their uncertainties. @param of those of the same figures against the mean envelope, and of the mean */
export function ofUnmodulated(
  v: AmFigures,
  bare: BareCarrier | null,
  of: { crest: number; trough: number; mean: number },
): Measured<AmFigures>['uncertainty']['unmodulated'] {
  const { unmodulated } = v
  if (!unmodulated || !bare) return null
  const held = (own: number, size: number) => Math.hypot(own, bare.uncertainty * size)
  return {
    depthPositive: held(of.crest, 1 + unmodulated.depthPositive),
    depthNegative: held(of.trough, 1 - unmodulated.depthNegative),
    carrierShift: held(of.mean, 1 + unmodulated.carrierShift),
    startS: bare.startS === null ? null : STRETCH_S,
  }
}

/** What depths are held against. */
export function referenceNotes(v: AmFigures): Note[] {
  const bare = message(v.peaks === null ? 'note.depthNoCarrierCycles' : 'note.depthNoCarrier')
  if (v.unmodulated?.startS === null) return [note('carrier-given', message('note.depthGivenCarrier'))]
  return [note('carrier-reference', v.unmodulated ? message('note.depthOwnCarrier') : bare)]
}
