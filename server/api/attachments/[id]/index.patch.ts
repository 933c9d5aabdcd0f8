import { attachmentPatch } from '#shared/attachment'
import { changeAttachment } from '../../../services/attachments'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event =>
  changeAttachment(idParam(event, 'unknown-attachment'), await validBody(event, attachmentPatch)),
)
