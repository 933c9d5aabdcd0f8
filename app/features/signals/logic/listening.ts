import type { AudioFigures, Beat } from '#core/signal'

/** What is told of the last two seconds of sound. */
export interface AudioAnalysis {
  readonly figures: AudioFigures
  readonly present: boolean
  readonly beat: Beat | null
  readonly peak: number
  readonly seconds: number
}
export type ToListener =
  | { readonly kind: 'start'; readonly rateHz: number }
  | { readonly kind: 'samples'; readonly block: Float32Array }
