import { getRouterParam } from 'h3'
import { object, string } from '#shared/yup'
import { UNKNOWN_FIELD } from '#shared/unknownField'
import { choose } from '../../services/schools'
import { apiHandler, validBody } from '../../utils/api'

const body = object({ optionId: string().max(2).required() }).noUnknown(true, UNKNOWN_FIELD)

export default apiHandler(async event =>
  choose(getRouterParam(event, 'id')!, (await validBody(event, body)).optionId),
)
