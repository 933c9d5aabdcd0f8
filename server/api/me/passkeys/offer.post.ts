import { passkeyOfferBody } from '#shared/passkeyBodies'
import { offerPasskey } from '../../../services/passkeys'
import { apiHandler, validBody } from '../../../utils/api'
import { requirePerson } from '../../../utils/session'

export default apiHandler(async event => {
  const { password } = await validBody(event, passkeyOfferBody)
  return offerPasskey(event, requirePerson(event), password)
})
