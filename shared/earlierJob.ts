import type { Quantity } from '#core/quantity'
import type { Verdict } from '#core/rules'
import { object, string } from '#shared/yup'
import type { Job } from './job'

/** Which set is asked about. */
export const setQuery = object({
  /** '' = whichever model bears the serial number */
  sheetId: string().label('common.model').max(60).default(''),
  serial: string().trim().label('common.serialNumber').max(60).required(),
})

/** One number of the last as-left, ready to be shown. */
export interface LeftAs {
  readonly rowTitle: string
  readonly quantity: Quantity
  readonly value: number
  readonly standardUncertainty: number | null
  /** errors are told against it; null = the value itself */
  readonly nominalHz: number | null
  readonly verdict: Verdict
}

/** An earlier job of the same set. */
export interface EarlierJob {
  readonly job: Job
  readonly handedOverAtMs: number | null
  /** judged readings of its as-left, in the order of the sheet */
  readonly asLeft: readonly LeftAs[]
  /** what was planned then for a later visit */
  readonly planned: readonly string[]
}
