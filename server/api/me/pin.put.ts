import { setResponseStatus } from 'h3'
import { ownPinBody } from '#shared/peopleBodies'
import { changeOwnPin } from '../../services/people'
import { apiHandler, validBody } from '../../utils/api'
import { addressOf, requirePerson } from '../../utils/session'

export default apiHandler(async event => {
  await changeOwnPin(requirePerson(event), await validBody(event, ownPinBody), addressOf(event))
  setResponseStatus(event, 204)
})
