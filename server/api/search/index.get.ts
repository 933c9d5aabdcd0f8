import { searchQuery } from '#shared/search'
import { search } from '../../services/search'
import { apiHandler, validQuery } from '../../utils/api'

export default apiHandler(async event => search(await validQuery(event, searchQuery)))
