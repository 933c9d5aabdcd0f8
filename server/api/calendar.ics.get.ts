import { setResponseHeader } from 'h3'
import { benchCalendar } from '../services/calendar'
import { apiHandler } from '../utils/api'

export default apiHandler(async event => {
  setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="diapason-bench.ics"')
  return benchCalendar()
})
