import { t } from '#shared/i18n'
import { createHash } from 'node:crypto'
import { fileTypeFromBuffer } from 'file-type'
import type { Attachment, AttachmentPatch, UploadQuery } from '#shared/attachment'
import { inTransaction, pool } from '../db/pool'
import {
  insertAttachment,
  selectAttachment,
  selectAttachments,
  selectThumbnail,
  updateAttachment,
} from '../db/queries/attachment'
import { ApiError } from '../utils/apiError'
import { requireJob } from './jobs'
import { keptPicture } from './picture'

/** What a browser's recorder makes. */
const RECORDINGS = [
  'video/webm',
  'audio/webm',
  'audio/ogg',
  'application/ogg',
  'audio/mp4',
  'video/mp4',
  'audio/x-m4a',
  'audio/mpeg',
  'audio/wav',
]

/** Keeps a photo or a voice note, whole or not at all. Sent twice it is kept once. */
export async function keepAttachment(
  jobId: string,
  { id, kind, name, about }: UploadQuery,
  upload: Buffer,
): Promise<Attachment> {
  await requireJob(jobId)
  const kept = kind === 'photo' ? await keptPicture(upload) : await keptRecording(upload)
  const checksum = createHash('sha256').update(kept.data).digest('hex')
  const { data, thumbnail, mime, width, height } = kept
  const stored = await inTransaction(db =>
    insertAttachment(
      db,
      { id, jobId, kind, name, about, mime, width, height, bytes: data.length, checksum, thumbnail },
      data,
    ),
  )
  return stored ?? (await requireAttachment(id))
}

async function keptRecording(upload: Buffer) {
  const found = await fileTypeFromBuffer(upload)
  if (!found || !RECORDINGS.includes(found.mime))
    throw new ApiError(
      415,
      'not-a-recording',
      t('server.thisIsUseWebmOggM4a', {
        what: found ? t('server.aFile', { ext: found.ext.toUpperCase() }) : t('server.notARecording'),
      }),
      'file',
    )
  const mime = found.mime.replace('video/', 'audio/').replace('application/', 'audio/')
  return { data: upload, thumbnail: null, mime, width: null, height: null }
}

export async function attachmentsOf(jobId: string): Promise<Attachment[]> {
  await requireJob(jobId)
  return selectAttachments(pool, jobId)
}

export async function requireAttachment(id: string): Promise<Attachment> {
  const found = await selectAttachment(pool, id)
  if (!found) throw new ApiError(404, 'unknown-attachment', t('server.photoOrRecordingNotFound'))
  return found
}

export async function thumbnailOf(id: string): Promise<Buffer> {
  const thumbnail = await selectThumbnail(pool, id)
  if (!thumbnail) throw new ApiError(404, 'unknown-attachment', t('server.thisHasNoPicture'))
  return thumbnail
}

export async function changeAttachment(id: string, patch: AttachmentPatch): Promise<Attachment> {
  const changed = await updateAttachment(pool, id, patch)
  if (changed) return changed
  await requireAttachment(id)
  throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisPicture'), 'version')
}
