import { thumbnailOf } from '../../../services/attachments'
import { apiHandler, idParam } from '../../../utils/api'
import { asForeign } from '../../../utils/asForeign'

export default apiHandler(async event => {
  const thumbnail = await thumbnailOf(idParam(event, 'unknown-attachment'))
  asForeign(event, 'image/jpeg', thumbnail.length)
  return thumbnail
})
