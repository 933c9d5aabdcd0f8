import { setResponseStatus } from 'h3'
import { passwordBody } from '#shared/peopleBodies'
import { resetPassword } from '../../../services/people'
import { apiHandler, idParam, validBody } from '../../../utils/api'
import { requirePerson } from '../../../utils/session'

export default apiHandler(async event => {
  const { password } = await validBody(event, passwordBody)
  await resetPassword(idParam(event, 'unknown-person'), password, requirePerson(event))
  setResponseStatus(event, 204)
})
