import { finishPractice as finishBody } from '#shared/practice'
import { finishPractice } from '../../../../services/practice'
import { apiHandler, idParam, validBody } from '../../../../utils/api'

export default apiHandler(async event =>
  finishPractice(idParam(event, 'unknown-practice'), (await validBody(event, finishBody)).named),
)
