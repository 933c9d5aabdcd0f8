import { setResponseStatus } from 'h3'
import { signInBody } from '#shared/peopleBodies'
import { signInByPassword } from '../../services/signIn'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  await signInByPassword(event, await validBody(event, signInBody))
  setResponseStatus(event, 204)
})
