import { setResponseStatus } from 'h3'
import { firstStartBody } from '#shared/peopleBodies'
import { setUp } from '../../services/workshop'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  await setUp(event, await validBody(event, firstStartBody))
  setResponseStatus(event, 204)
})
