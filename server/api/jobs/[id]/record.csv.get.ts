import { setResponseHeaders } from 'h3'
import { csvOf } from '../../../services/record'
import { apiHandler, idParam } from '../../../utils/api'

export default apiHandler(async event => {
  const { tag, csv } = await csvOf(idParam(event, 'unknown-job'))
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="${tag}.csv"`,
  })
  return csv
})
