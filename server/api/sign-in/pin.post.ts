import { setResponseStatus } from 'h3'
import { pinSignInBody } from '#shared/peopleBodies'
import { signInByPin } from '../../services/signIn'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  await signInByPin(event, await validBody(event, pinSignInBody))
  setResponseStatus(event, 204)
})
