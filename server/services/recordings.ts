import { t } from '#shared/i18n'
import { createHash } from 'node:crypto'
import type { KeptRecording, NewRecording } from '#shared/recording'
import { inTransaction, pool, type Db } from '../db/pool'
import {
  completeRecording,
  deleteAbandoned,
  insertRecording,
  insertRecordingChunk,
  lockIncomplete,
  readRecordingChunks,
  selectRecording,
  selectRecordings,
} from '../db/queries/recording'
import { ApiError } from '../utils/apiError'
import { requireJob } from './jobs'

const LISTED = 50
/** A recording that was begun so long ago is not sent any more. */
const ABANDONED_AFTER_H = 24
const unknown = () => new ApiError(404, 'unknown-recording', t('server.recordingNotFoundOrNotComplete'))

/** Begins to keep a recording; its bytes follow chunk by chunk, in any order, each as often as it takes. */
export async function beginRecording(body: NewRecording): Promise<void> {
  if (body.jobId !== null) await requireJob(body.jobId)
  await inTransaction(db => deleteAbandoned(db, ABANDONED_AFTER_H))
  await insertRecording(pool, body)
}

export async function keepChunk(id: string, ordinal: number, data: Buffer): Promise<void> {
  if (!(await insertRecordingChunk(pool, id, ordinal, data))) throw unknown()
}

/** Shows it from now on, if all of it is there. */
export function finishRecording(id: string): Promise<KeptRecording> {
  return inTransaction(async db => {
    const begun = await lockIncomplete(db, id)
    if (begun) await completeRecording(db, id, await wholeChecksum(db, id, begun.bytes))
    return requireRecording(id, db)
  })
}

async function wholeChecksum(db: Db, id: string, expectedBytes: number): Promise<string> {
  const hash = createHash('sha256')
  let bytes = 0
  for await (const chunk of readRecordingChunks(db, id)) {
    hash.update(chunk)
    bytes += chunk.length
  }
  if (bytes !== expectedBytes)
    throw new ApiError(
      409,
      'recording-incomplete',
      t('server.ofBytesReceivedSendTheRest', { received: bytes, total: expectedBytes }),
      'bytes',
    )
  return hash.digest('hex')
}

export async function requireRecording(id: string, db: Db = pool): Promise<KeptRecording> {
  const found = await selectRecording(db, id)
  if (!found) throw unknown()
  return found
}

export const recordings = (jobId: string | null) => selectRecordings(pool, jobId, LISTED)
