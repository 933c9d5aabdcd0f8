import { askText, type InstrumentAnswer } from '#shared/instrumentCommands'
import { gatewayRequest } from '../../../services/gateway'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event =>
  gatewayRequest<InstrumentAnswer>('/ask', {
    instrumentId: idParam(event, 'unknown-instrument'),
    ...(await validBody(event, askText)),
  }),
)
