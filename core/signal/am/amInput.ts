import { meanPower, type Series } from '../series'
import { note, type AmFigures, type Measured, type Note } from '../result'

/** Demodulated tones are judged up to here [Hz]. */
export const AM_AUDIO_HZ = 10_000

export interface AmInput {
  /** the modulated stretch, its carrier at 0 Hz with a phase that stands still */
  readonly modulated: Series
  /** a stretch of bare carrier in the same channel, with where it begins in the recording */
  readonly bare: { readonly series: Series, readonly startS: number } | null
  /** noise power per sample */
  readonly noisePower: number
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

export interface AmResult extends Measured<AmFigures> { readonly meanEnvelope: number, /** one cycle for a picture; null on voice */ readonly cycle: { readonly envelope: Float64Array, readonly inPhase: Float64Array } | null }

/** The bare carrier of the same recording, where it holds one. */
export function bareCarrier({ bare, noisePower }: AmInput): { carrier: number, startS: number } | null {
  return bare && { carrier: Math.sqrt(Math.max(meanPower(bare.series) - noisePower, 1e-30)), startS: bare.startS }
}

/** What depths are held against. */
export function referenceNotes(v: AmFigures): Note[] {
  const cycles = v.peaks === null ? ' over whole cycles' : ''
  return [note('carrier-reference', v.unmodulated ? 'Depths refer to the mean envelope; under "unmodulated" to the bare carrier of the same recording.' : `Depths refer to the mean envelope${cycles}: the recording holds no bare carrier, so a shift of the carrier cannot be told.`)]
}
