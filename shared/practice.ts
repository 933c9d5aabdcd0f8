import { array, boolean, number, object, string, type InferType } from 'yup'
import { UNKNOWN_FIELD } from './unknownField'

/** A turn of a control on the simulated set. Unknown fields are refused. */
export const practiceChange = object({
  adjusters: array(object({ designator: string().max(8).required(), position: number().min(-4).max(4).required() }).noUnknown(true, UNKNOWN_FIELD)).max(20).optional(),
  channel: number().integer().min(1).max(40).optional(),
  keyed: boolean().optional(),
  lowPower: boolean().optional(),
  toneOn: boolean().optional(),
  toneLevelV: number().min(0).max(0.3).optional(),
  supplyV: number().min(0).max(20).optional(),
  warmByS: number().min(0).max(7200).optional(),
  deliverAgain: boolean().optional(),
  plug: object({ key: string().oneOf(['power', 'counter', 'modulation', 'supply']).required(), pluggedIn: boolean().required() }).noUnknown(true, UNKNOWN_FIELD).optional().default(undefined),
}).noUnknown(true, UNKNOWN_FIELD)

export type PracticeChange = InferType<typeof practiceChange>

/** What the practice panel shows of the simulated set: its controls and what its own front panel tells. */
export interface PracticeState {
  readonly adjusters: Readonly<Record<string, number>>
  readonly channel: number
  readonly keyed: boolean
  readonly lowPower: boolean
  readonly toneOn: boolean
  readonly toneLevelV: number
  readonly supplyV: number
  readonly onTimeS: number
  readonly locked: boolean
  readonly lockS: number
  readonly panelPowerW: number
  readonly sensitivityV: number
  readonly instruments: readonly { readonly key: string, readonly name: string, readonly pluggedIn: boolean, readonly port: number }[]
}
