import { setResponseStatus } from 'h3'
import { signOut } from '../services/signIn'
import { apiHandler } from '../utils/api'

export default apiHandler(async event => {
  await signOut(event)
  setResponseStatus(event, 204)
})
