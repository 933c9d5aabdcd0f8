import { jobKindOf } from '#core/run'
import { jobTag } from '#shared/jobTag'
import { renderPdf } from '../../../pdf/renderPdf'
import { tagDocument } from '../../../pdf/tagDocument'
import { jobWithEvents } from '../../../services/jobs'
import { apiHandler, idParam } from '../../../utils/api'
import { sendPdf } from '../../../utils/sendPdf'

export default apiHandler(async event => {
  const { job, sheet, events } = await jobWithEvents(idParam(event, 'unknown-job'))
  return sendPdf(
    event,
    `${jobTag(job.number)}-tag.pdf`,
    await renderPdf(tagDocument(job, sheet, jobKindOf(events))),
  )
})
