import { getRouterParam } from 'h3'
import type { ModelSheet } from '#core/sheet'
import { sheetPatch } from '#shared/sheet/sheetRequests'
import { reviseSheet } from '../../../services/sheets'
import { apiHandler, validBody } from '../../../utils/api'

export default apiHandler(async event => {
  const { from, sheet, who, reason } = await validBody(event, sheetPatch)
  const by = event.context.person?.name ?? who
  return reviseSheet(getRouterParam(event, 'id')!, from, sheet as unknown as ModelSheet, by, reason)
})
