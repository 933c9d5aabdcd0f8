import { CoreError } from '../errors'
import { message, type Message } from '../message'

/** Samples of a piece of a recording; q is empty where there is one channel only. Full scale is 1. */
export interface SampleBlock {
  readonly i: Float32Array
  readonly q: Float32Array
}

/** Something doubtful about a recording that can be used all the same. */
export interface RecordingNote {
  readonly code: string
  readonly says: Message
}

/** What is written into a recording beside its samples, from the first sample on. */
export interface Annotation {
  readonly startSample: number
  readonly sampleCount: number | null
  readonly label: string
  readonly lowHz: number | null
  readonly highHz: number | null
}

/** A recording, whatever file it came from: samples by place, streamed, never held whole. */
export interface Recording {
  readonly file: string
  readonly format: 'sigmf' | 'wav' | 'csv' | 'sound-card'
  /**
   * iq = complex baseband; real = one channel of radio or intermediate frequency; audio = one channel of
   * sound
   */
  readonly kind: 'iq' | 'real' | 'audio'
  readonly datatype: string
  readonly sampleRateHz: number
  readonly sampleCount: number
  /** radio frequency of baseband zero, or null when the file does not say */
  readonly centreHz: number | null
  /** steps from zero to full scale of the converter; null = floating point */
  readonly steps: number | null
  readonly annotations: readonly Annotation[]
  readonly notes: readonly RecordingNote[]
  /** @throws {CoreError} bad-recording (a value that is no number) */
  read(
    fromSample: number,
    count: number,
    /** a block that is no longer needed: its arrays may be filled anew */
    into?: SampleBlock,
  ): Promise<SampleBlock>
}

/** A file that cannot be used, by file, field and reason. */
export function badRecording(file: string, field: string | Message, reason: Message): CoreError {
  return new CoreError(
    'bad-recording',
    message('recording.bad', { file, field: typeof field === 'string' ? { term: field } : field, reason }),
  )
}
