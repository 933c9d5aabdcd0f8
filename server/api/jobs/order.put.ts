import { setResponseStatus } from 'h3'
import { benchMove } from '#shared/bench'
import { orderBench } from '../../services/benchOrder'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  await orderBench(await validBody(event, benchMove))
  setResponseStatus(event, 204)
  return null
})
