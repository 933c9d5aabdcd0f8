import { setQuery } from '#shared/earlierJob'
import { earlierJobs } from '../../services/setHistory'
import { apiHandler, validQuery } from '../../utils/api'

export default apiHandler(async event => {
  const { sheetId, serial } = await validQuery(event, setQuery)
  return earlierJobs(sheetId, serial)
})
