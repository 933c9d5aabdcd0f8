import { askText, type Asked } from '#shared/instrumentCommands'
import { gatewayRequest } from '../../../services/gateway'
import { apiHandler, idParam, validBody } from '../../../utils/api'

export default apiHandler(async event =>
  gatewayRequest<Asked>('/ask', {
    instrumentId: idParam(event, 'unknown-instrument'),
    ...(await validBody(event, askText)),
  }),
)
