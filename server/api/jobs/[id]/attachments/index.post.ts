import { MAX_BYTES, uploadQuery } from '#shared/attachment'
import { keepAttachment } from '../../../../services/attachments'
import { readUpload } from '../../../../services/readUpload'
import { apiHandler, created, idParam, validQuery } from '../../../../utils/api'

export default apiHandler(async event => {
  const jobId = idParam(event, 'unknown-job')
  const query = await validQuery(event, uploadQuery)
  return created(
    event,
    await keepAttachment(jobId, query, await readUpload(event.node.req, MAX_BYTES[query.kind])),
  )
})
