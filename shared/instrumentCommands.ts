import type { Message } from '#core/message'
import { t } from '#shared/i18n'
import { number, object, string, uuid, type InferType } from '#shared/yup'
import { SETTING_NAMES, type SettingName, type SteppedPlan, type SteppedPoint } from '#core/instrument'
import { QUANTITY_NAMES, type Quantity } from '#core/quantity'
import { UNKNOWN_FIELD } from './unknownField'

/** One line of printable characters to an instrument. */
const PRINTABLE = /^[\x20-\x7e]+$/

export const setBody = object({
  instrumentId: uuid(),
  name: string<SettingName>().oneOf(SETTING_NAMES).required(),
  value: number().required(),
}).noUnknown(true, UNKNOWN_FIELD)
export const askText = object({
  text: string()
    .max(200)
    .matches(PRINTABLE, () => t('form.onlyPrintableCharactersCanBeSent'))
    .required(),
}).noUnknown(true, UNKNOWN_FIELD)
export const askBody = askText.shape({ instrumentId: uuid() }).noUnknown(true, UNKNOWN_FIELD)

export const steppedBody = object({
  setInstrumentId: uuid(),
  readInstrumentId: uuid(),
  set: string<SettingName>().oneOf(SETTING_NAMES).required(),
  from: number().required(),
  to: number().required(),
  steps: number().integer().min(2).max(200).required(),
  spacing: string<SteppedPlan['spacing']>().oneOf(['linear', 'log']).required(),
  read: string<Quantity>().oneOf(QUANTITY_NAMES).required(),
  settleS: number().min(0).max(30).required(),
  readings: number().integer().min(1).max(50).required(),
}).noUnknown(true, UNKNOWN_FIELD)
export type SteppedBody = InferType<typeof steppedBody>

/** What an instrument said, raw, and what was understood of it. */
/** trace: the numbers of a block of 32-bit floats, e.g. a spectrum. */
export interface InstrumentAnswer {
  readonly raw: string | null
  readonly understood: Message
  readonly trace: readonly number[] | null
  readonly errors: readonly string[]
  readonly tookMs: number
}

/** A stepped measurement as it stands. */
export interface SteppedView {
  readonly plan: SteppedBody
  readonly state: 'running' | 'done' | 'cancelled' | 'failed'
  readonly points: readonly SteppedPoint[]
  readonly of: number
  /** why it failed, or that the setting was put back */
  readonly says: readonly Message[]
}
