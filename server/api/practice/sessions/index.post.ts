import { newPractice } from '#shared/practice'
import { startPractice } from '../../../services/practice'
import { apiHandler, created, validBody } from '../../../utils/api'

export default apiHandler(async event =>
  created(event, await startPractice(await validBody(event, newPractice))),
)
