import { number, string } from '#shared/yup'
import { closed } from './fields'
import { sheetBody } from './sheetBody'

const who = () => string().trim().label('form.who').max(60).defined()
const reason = () => string().trim().label('common.reason').max(10_000).defined()
export const newSheetBody = closed({ sheet: sheetBody, who: who(), reason: reason() })
export const sheetPatch = closed({
  from: number().integer().min(1).required(),
  sheet: sheetBody,
  who: who(),
  reason: reason().min(1),
})
