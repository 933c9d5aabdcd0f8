import { setResponseStatus } from 'h3'
import { ownPasswordBody } from '#shared/peopleBodies'
import { changeOwnPassword } from '../../services/people'
import { apiHandler, validBody } from '../../utils/api'
import { addressOf, requirePerson, sessionHash } from '../../utils/session'

export default apiHandler(async event => {
  const change = await validBody(event, ownPasswordBody)
  await changeOwnPassword(requirePerson(event), change, sessionHash(event), addressOf(event))
  setResponseStatus(event, 204)
})
