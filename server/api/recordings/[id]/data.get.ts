import { Readable } from 'node:stream'
import { sendStream } from 'h3'
import { pool } from '../../../db/pool'
import { readRecordingChunks } from '../../../db/queries/recording'
import { requireRecording } from '../../../services/recordings'
import { apiHandler, idParam } from '../../../utils/api'
import { asForeign } from '../../../utils/asForeign'

export default apiHandler(async event => {
  const { id, bytes } = await requireRecording(idParam(event, 'unknown-recording'))
  asForeign(event, 'application/octet-stream', bytes)
  return sendStream(event, Readable.from(readRecordingChunks(pool, id)))
})
