import { getQuery, getRouterParam } from 'h3'
import { number } from '#shared/yup'
import { sheetView } from '../../../services/sheets'
import { apiHandler } from '../../../utils/api'

const revision = number().label('server.revision').integer().min(1)

export default apiHandler(async event =>
  sheetView(getRouterParam(event, 'id')!, await revision.validate(getQuery(event).revision)),
)
