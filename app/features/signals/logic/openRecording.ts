import type { KeptOptions, KeptRecording, WordedRecording } from '#shared/recording'

/** A recording on the page: its files, what it was measured with, its figures. */
export interface OpenRecording {
  readonly key: string
  readonly name: string
  readonly files: readonly File[]
  readonly options: KeptOptions
  readonly measured: WordedRecording
  readonly kept: KeptRecording | null
}
