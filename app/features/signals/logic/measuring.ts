import type { Message } from '#core/message'
import type { Annotation } from '#core/recording'
import type { MeasuredRecording, MeasuringPhase } from '#core/signal'
import type { MaskPart } from '#core/rules'
import type { KeptOptions } from '#shared/recording'

/** What the page and its worker say to each other. */
export type ToMeasurer =
  | {
      readonly kind: 'annotate'
      readonly files: readonly File[]
      readonly options: KeptOptions
      readonly description: string
      readonly annotations: readonly Annotation[]
    }
  | {
      readonly kind: 'measure'
      readonly files: readonly File[]
      readonly options: KeptOptions
      /** parts of the mask of the rule set that the options name */
      readonly mask: readonly MaskPart[]
    }
  | { readonly kind: 'cancel' }
export type FromMeasurer =
  | { readonly kind: 'progress'; readonly share: number; readonly phase: MeasuringPhase }
  | { readonly kind: 'done'; readonly measured: MeasuredRecording }
  | { readonly kind: 'annotated'; readonly archive: Blob }
  | {
      readonly kind: 'failed'
      /** null = unforeseen */ readonly says: Message | null
      readonly cancelled: boolean
    }
