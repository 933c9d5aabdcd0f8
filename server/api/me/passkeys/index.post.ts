import { setResponseStatus } from 'h3'
import { newPasskeyBody } from '#shared/passkeyBodies'
import { addPasskey } from '../../../services/passkeys'
import { apiHandler, validBody } from '../../../utils/api'
import { requirePerson } from '../../../utils/session'

export default apiHandler(async event => {
  const passkeys = await addPasskey(event, requirePerson(event), await validBody(event, newPasskeyBody))
  setResponseStatus(event, 201)
  return passkeys
})
