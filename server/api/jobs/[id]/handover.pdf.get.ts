import { handoverQuery } from '#shared/handoverQuery'
import { handoverPdf } from '../../../services/handover'
import { apiHandler, idParam, validQuery } from '../../../utils/api'
import { sendPdf } from '../../../utils/sendPdf'

export default apiHandler(async event => {
  const { copy, issue } = await validQuery(event, handoverQuery)
  const { name, pdf } = await handoverPdf(idParam(event, 'unknown-job'), copy, issue ?? null)
  return sendPdf(event, name, pdf)
})
