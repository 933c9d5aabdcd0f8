import { getQuery } from 'h3'
import { searchQuery } from '#shared/search'
import { search } from '../../services/search'
import { apiHandler } from '../../utils/api'

export default apiHandler(async event => search(await searchQuery.validate(getQuery(event))))
