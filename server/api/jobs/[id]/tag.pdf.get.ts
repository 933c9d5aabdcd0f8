import { pool } from '../../../db/pool'
import { jobTag } from '#shared/jobTag'
import { renderPdf } from '../../../pdf/renderPdf'
import { tagDocument } from '../../../pdf/tagDocument'
import { requireJob } from '../../../services/jobs'
import { requireSheet } from '../../../services/sheetBook'
import { apiHandler, idParam } from '../../../utils/api'
import { sendPdf } from '../../../utils/sendPdf'

export default apiHandler(async event => {
  const job = await requireJob(idParam(event, 'unknown-job'))
  return sendPdf(
    event,
    `${jobTag(job.number)}-tag.pdf`,
    await renderPdf(tagDocument(job, await requireSheet(pool, job.sheetId, job.sheetRevision))),
  )
})
