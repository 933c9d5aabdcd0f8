import { savedViewBody } from '#shared/search'
import { saveView } from '../../services/search'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event =>
  created(event, await saveView(await validBody(event, savedViewBody))),
)
