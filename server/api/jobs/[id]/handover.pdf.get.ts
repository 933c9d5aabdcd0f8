import { getQuery } from 'h3'
import { handoverQuery } from '#shared/handoverQuery'
import { handoverPdf } from '../../../services/handover'
import { apiHandler, idParam } from '../../../utils/api'
import { sendPdf } from '../../../utils/sendPdf'

export default apiHandler(async event => {
  const { copy, issue } = await handoverQuery.validate(getQuery(event))
  const { name, pdf } = await handoverPdf(idParam(event, 'unknown-job'), copy, issue ?? null)
  return sendPdf(event, name, pdf)
})
