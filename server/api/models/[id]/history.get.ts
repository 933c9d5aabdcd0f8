import { getQuery, getRouterParam } from 'h3'
import { object, string } from '#shared/yup'
import { modelHistory } from '../../../services/modelHistory'
import { apiHandler } from '../../../utils/api'

const query = object({ job: string().uuid().nullable().default(null) })

export default apiHandler(async event => {
  const { job } = await query.validate(getQuery(event))
  return modelHistory(getRouterParam(event, 'id')!, job ?? null)
})
