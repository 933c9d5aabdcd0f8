import { t } from '#shared/i18n'
import { createHash } from 'node:crypto'
import type { KeptRecording, NewRecording } from '#shared/recording'
import { pool } from '../db/pool'
import {
  completeRecording,
  insertRecording,
  insertRecordingChunk,
  readRecordingChunks,
  selectIncomplete,
  selectRecording,
  selectRecordings,
} from '../db/queries/recording'
import { ApiError } from '../utils/apiError'
import { requireJob } from './jobs'

const LISTED = 50
const unknown = () => new ApiError(404, 'unknown-recording', t('server.recordingNotFoundOrNotComplete'))

/** Begins to keep a recording; its bytes follow chunk by chunk, in any order, each as often as it takes. */
export async function beginRecording(body: NewRecording): Promise<void> {
  if (body.jobId !== null) await requireJob(body.jobId)
  await insertRecording(pool, body)
}

export async function keepChunk(id: string, place: number, data: Buffer): Promise<void> {
  if (!(await selectIncomplete(pool, id))) throw unknown()
  await insertRecordingChunk(pool, id, place, data)
}

/** Shows it from now on, if all of it is there. */
export async function finishRecording(id: string): Promise<KeptRecording> {
  const begun = await selectIncomplete(pool, id)
  if (begun) {
    const hash = createHash('sha256')
    let bytes = 0
    for await (const chunk of readRecordingChunks(pool, id)) {
      hash.update(chunk)
      bytes += chunk.length
    }
    if (bytes !== begun.bytes)
      throw new ApiError(
        409,
        'recording-incomplete',
        t('server.ofBytesReceivedSendTheRest', { received: bytes, total: begun.bytes }),
        'bytes',
      )
    await completeRecording(pool, id, hash.digest('hex'))
  }
  return requireRecording(id)
}

export async function requireRecording(id: string): Promise<KeptRecording> {
  const found = await selectRecording(pool, id)
  if (!found) throw unknown()
  return found
}

export const recordings = (jobId: string | null) => selectRecordings(pool, jobId, LISTED)
