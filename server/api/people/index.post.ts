import { personBody } from '#shared/peopleBodies'
import { addPerson } from '../../services/people'
import { apiHandler, created, validBody } from '../../utils/api'
import { requirePerson } from '../../utils/session'

export default apiHandler(async event =>
  created(event, await addPerson(await validBody(event, personBody), requirePerson(event))),
)
