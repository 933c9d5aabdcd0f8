import { steppedBody, type SteppedView } from '#shared/instrumentCommands'
import { gatewayRequest } from '../../services/gateway'
import { apiHandler, validBody } from '../../utils/api'

export default apiHandler(async event => ({
  run: await gatewayRequest<SteppedView>('/stepped', await validBody(event, steppedBody)),
}))
