import type { SteppedView } from '#shared/instrumentCommands'
import { gatewayRequest } from '../../services/gateway'
import { apiHandler } from '../../utils/api'

export default apiHandler(async () => ({ run: await gatewayRequest<SteppedView | null>('/stepped') }))
