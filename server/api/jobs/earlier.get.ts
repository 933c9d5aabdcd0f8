import { getQuery } from 'h3'
import { setQuery } from '#shared/earlierJob'
import { earlierJobs } from '../../services/setHistory'
import { apiHandler } from '../../utils/api'

export default apiHandler(async event => {
  const { sheetId, serial } = await setQuery.validate(getQuery(event))
  return earlierJobs(sheetId, serial)
})
