import type { ModelSheet } from '#core/sheet'
import { newSheetBody } from '#shared/sheet/sheetRequests'
import { addSheet } from '../../services/sheets'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const { sheet, who, reason } = await validBody(event, newSheetBody)
  return created(
    event,
    await addSheet(sheet as unknown as ModelSheet, event.context.person?.name ?? who, reason),
  )
})
