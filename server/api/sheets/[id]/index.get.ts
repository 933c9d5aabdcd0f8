import { getRouterParam } from 'h3'
import { number, object } from '#shared/yup'
import { sheetView } from '../../../services/sheets'
import { apiHandler, validQuery } from '../../../utils/api'

const query = object({ revision: number().label('server.revision').integer().min(1).max(2_147_483_647) })

export default apiHandler(async event =>
  sheetView(getRouterParam(event, 'id')!, (await validQuery(event, query)).revision),
)
