import { personChangeBody } from '#shared/peopleBodies'
import { changePerson } from '../../../services/people'
import { apiHandler, idParam, validBody } from '../../../utils/api'
import { requirePerson } from '../../../utils/session'

export default apiHandler(async event =>
  changePerson(
    idParam(event, 'unknown-person'),
    await validBody(event, personChangeBody),
    requirePerson(event),
  ),
)
