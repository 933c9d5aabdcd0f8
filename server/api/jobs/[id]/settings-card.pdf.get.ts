import { settingsCardPdf } from '../../../services/settingsCard'
import { apiHandler, idParam } from '../../../utils/api'
import { sendPdf } from '../../../utils/sendPdf'

export default apiHandler(async event => {
  const { name, pdf } = await settingsCardPdf(idParam(event, 'unknown-job'))
  return sendPdf(event, name, pdf)
})
