import { getRouterParam, setResponseHeader } from 'h3'
import { sheetFile } from '../../../services/sheetFiles'
import { apiHandler } from '../../../utils/api'

export default apiHandler(async event => {
  const file = await sheetFile(getRouterParam(event, 'id')!)
  setResponseHeader(
    event,
    'content-disposition',
    `attachment; filename="${file.revisions.at(-1)!.sheet.id}.json"`,
  )
  return file
})
