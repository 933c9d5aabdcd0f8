import { modelSheet } from '../../../../core/sheet'
import { jobTag } from '../../../../shared/job'
import { renderPdf } from '../../../pdf/renderPdf'
import { tagDocument } from '../../../pdf/tagDocument'
import { requireJob } from '../../../services/jobs'
import { apiHandler, idParam } from '../../../utils/api'
import { sendPdf } from '../../../utils/sendPdf'

export default apiHandler(async (event) => {
  const job = await requireJob(idParam(event, 'unknown-job'))
  return sendPdf(event, `${jobTag(job.number)}-tag.pdf`, await renderPdf(tagDocument(job, modelSheet(job.sheetId, job.sheetRevision))))
})
