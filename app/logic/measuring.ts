import type { MeasuredRecording } from '#core/signal'
import type { KeptOptions } from '#shared/recording'

/** What the page and its worker say to each other. */
export type ToMeasurer =
  | { readonly kind: 'measure'; readonly files: readonly File[]; readonly options: KeptOptions }
  | { readonly kind: 'annotate'; readonly files: readonly File[]; readonly options: KeptOptions }
  | { readonly kind: 'cancel' }
export type FromMeasurer =
  | { readonly kind: 'progress'; readonly share: number; readonly what: string }
  | { readonly kind: 'done'; readonly measured: MeasuredRecording }
  | { readonly kind: 'annotated'; readonly archive: Blob }
  | { readonly kind: 'failed'; readonly words: string; readonly cancelled: boolean }
