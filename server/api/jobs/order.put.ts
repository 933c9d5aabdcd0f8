import { setResponseStatus } from 'h3'
import { benchOrder } from '#shared/bench'
import { orderBench } from '../../services/jobs'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => {
  await orderBench((await validBody(event, benchOrder)).order)
  setResponseStatus(event, 204)
  return null
})
