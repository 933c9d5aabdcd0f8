import { keepBoardPicture } from '../../services/boardPictures'
import { readUpload } from '../../services/readUpload'
import { MAX_BYTES } from '#shared/attachment'
import { apiHandler, created, idParam } from '../../utils/api'

export default apiHandler(async event => {
  const id = idParam(event, 'unknown-picture')
  return created(event, await keepBoardPicture(id, await readUpload(event.node.req, MAX_BYTES.photo)))
})
