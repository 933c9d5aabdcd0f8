import { getQuery, getRouterParam } from 'h3'
import { number } from 'yup'
import { sheetView } from '../../../services/sheets'
import { apiHandler } from '../../../utils/api'

const revision = number().label('Revision').integer().min(1)

export default apiHandler(async event =>
  sheetView(getRouterParam(event, 'id')!, await revision.validate(getQuery(event).revision)),
)
