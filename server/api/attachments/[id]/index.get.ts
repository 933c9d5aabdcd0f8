import { Readable } from 'node:stream'
import { sendStream } from 'h3'
import { pool } from '../../../db/pool'
import { readChunks } from '../../../db/queries/attachment'
import { requireAttachment } from '../../../services/attachments'
import { apiHandler, idParam } from '../../../utils/api'
import { asForeign } from '../../../utils/asForeign'

export default apiHandler(async event => {
  const { id, mime, bytes } = await requireAttachment(idParam(event, 'unknown-attachment'))
  asForeign(event, mime, bytes)
  return sendStream(event, Readable.from(readChunks(pool, id)))
})
