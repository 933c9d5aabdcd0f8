import { setResponseStatus } from 'h3'
import { passkeySignInBody } from '#shared/passkeyBodies'
import { signInByPasskey } from '../../../services/signIn'
import { apiHandler, validBody } from '../../../utils/api'

export default apiHandler(async event => {
  await signInByPasskey(event, await validBody(event, passkeySignInBody))
  setResponseStatus(event, 204)
})
