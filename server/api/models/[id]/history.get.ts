import { getRouterParam } from 'h3'
import { object, string } from '#shared/yup'
import { modelHistory } from '../../../services/modelHistory'
import { apiHandler, validQuery } from '../../../utils/api'

const query = object({ job: string().uuid().nullable().default(null) })

export default apiHandler(async event => {
  const { job } = await validQuery(event, query)
  return modelHistory(getRouterParam(event, 'id')!, job ?? null)
})
