import { t } from '#shared/i18n'
import { array, boolean, number, object, string, type InferType, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'

export const ATTACHMENT_KINDS = ['photo', 'voice'] as const
export type AttachmentKind = (typeof ATTACHMENT_KINDS)[number]

/**
 * Largest upload [bytes]: more than any telephone camera makes of one picture; a voice note of ten minutes.
 */
export const MAX_BYTES: Record<AttachmentKind, number> = { photo: 20 * 1024 * 1024, voice: 8 * 1024 * 1024 }
export const ROTATIONS = [0, 90, 180, 270] as const

/** What an attachment belongs to: '' = the job, 'box-note', 'item:I37', 'adjuster:RV2'. */
const about = () =>
  string()
    .max(80)
    .matches(/^[\w:. /-]*$/, () => t('form.aboutAShortName'))
    .defined()

export const uploadQuery = object({
  id: uuid(),
  kind: string().oneOf(ATTACHMENT_KINDS).required(),
  name: string().trim().max(200).default(''),
  about: about().default(''),
}).noUnknown(true, UNKNOWN_FIELD)

export type UploadQuery = InferType<typeof uploadQuery>

const ratio = () => number().min(0).max(1).required()
/** From tail to head, ratios of width and height of the picture as it was taken. */
export const arrowSchema = object({ x1: ratio(), y1: ratio(), x2: ratio(), y2: ratio() }).noUnknown(
  true,
  UNKNOWN_FIELD,
)
export type Arrow = InferType<typeof arrowSchema>

export const attachmentPatch = object({
  version: number().integer().min(1).required(),
  rotation: number().oneOf(ROTATIONS),
  arrows: array(arrowSchema.required()).max(20),
  name: string().trim().max(200),
  putAside: boolean(),
}).noUnknown(true, UNKNOWN_FIELD)

export type AttachmentPatch = InferType<typeof attachmentPatch>

export interface Attachment {
  readonly id: string
  readonly jobId: string
  readonly kind: AttachmentKind
  readonly name: string
  readonly mime: string
  readonly about: string
  readonly bytes: number
  readonly width: number | null
  readonly height: number | null
  readonly checksum: string
  readonly rotation: (typeof ROTATIONS)[number]
  readonly arrows: readonly Arrow[]
  readonly version: number
  readonly createdAtMs: number
}
