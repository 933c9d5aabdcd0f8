import { requireBoardPicture } from '../../services/boardPictures'
import { apiHandler, idParam } from '../../utils/api'
import { asForeign } from '../../utils/asForeign'

export default apiHandler(async event => {
  const { mime, data } = await requireBoardPicture(idParam(event, 'unknown-picture'))
  asForeign(event, mime, data.length)
  return data
})
