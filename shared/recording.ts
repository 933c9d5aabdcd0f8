import { t } from '#shared/i18n'
import { mixed, number, object, string, type InferType, uuid } from '#shared/yup'
import { PHASES } from '#core/run'
import type { Measurement, Note, SignalPictures } from '#core/signal'
import { UNKNOWN_FIELD } from './unknownField'

/** Largest recording that is kept [bytes], and the size of the pieces in which it comes. */
export const MAX_RECORDING_BYTES = 256 * 1024 * 1024
export const RECORDING_CHUNK_BYTES = 1024 * 1024

/** What a recording was measured with; the same options give the same figures when it is opened again. */
export const keptOptions = object({
  as: string().oneOf(['am', 'fm', 'ssb', 'audio', 'auto']).required(),
  nominalHz: number().positive().max(1e11).nullable().defined(),
  toneHz: number().positive().max(1e5).nullable().defined(),
  spacingHz: number().positive().max(1e6).required(),
  /** recordings that were kept before it could be chosen have none */
  channelWidthHz: number().positive().max(1e6).nullable().default(null),
  unmodulatedDbfs: number().min(-120).max(20).nullable().default(null),
  carrierW: number().positive().max(1e5).nullable().defined(),
  referencePpm: number().positive().max(1000).nullable().defined(),
  ruleSetId: string().max(20).required(),
}).noUnknown(true, UNKNOWN_FIELD)
export type KeptOptions = InferType<typeof keptOptions>

export const newRecordingBody = object({
  id: uuid(),
  jobId: uuid().nullable().defined(),
  name: string().trim().max(200).required(),
  bytes: number()
    .integer()
    .min(1)
    .max(MAX_RECORDING_BYTES, () => t('form.recordingLimit256MbAShorter'))
    .required(),
  options: keptOptions.required(),
  measurement: mixed<WordedMeasurement>()
    .test(
      'is-measurement',
      () => t('form.notAMeasurement'),
      v => typeof v === 'object' && v !== null && 'notes' in v && 'health' in v,
    )
    .required(),
  phase: string()
    .oneOf(['', ...PHASES])
    .default(''),
  pointId: string().max(40).default(''),
}).noUnknown(true, UNKNOWN_FIELD)
export type NewRecording = InferType<typeof newRecordingBody>

/** Figures with their notes worded: so they are shown, kept and passed on. */
export type WordedMeasurement = Omit<Measurement, 'notes'> & {
  readonly notes: readonly (Note & { readonly words: string })[]
}
export interface WordedRecording {
  readonly measurement: WordedMeasurement
  readonly pictures: SignalPictures
}

/** A recording that is kept, as it travels; its bytes travel apart. */
export interface KeptRecording {
  readonly id: string
  readonly jobId: string | null
  readonly name: string
  readonly bytes: number
  readonly checksum: string
  readonly options: KeptOptions
  readonly measurement: WordedMeasurement
  readonly phase: string
  readonly pointId: string
  readonly createdAtMs: number
}
