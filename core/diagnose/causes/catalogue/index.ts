import { message } from '../../../message'
import { CoreError } from '../../../errors'
import type { Cause } from '../cause'
import { FREQUENCY_CAUSES } from './ofFrequency'
import { MODULATION_CAUSES } from './ofModulation'
import { POWER_CAUSES } from './ofPower'
import { STAGE_CAUSES } from './ofStages'
import { RECEIVER_CAUSES } from './ofReceiver'
import { SUPPLY_CAUSES } from './ofSupply'

export const CAUSES: readonly Cause[] = [
  ...SUPPLY_CAUSES,
  ...POWER_CAUSES,
  ...STAGE_CAUSES,
  ...FREQUENCY_CAUSES,
  ...MODULATION_CAUSES,
  ...RECEIVER_CAUSES,
]

/** @throws {CoreError} unknown-cause */
export function causeOf(id: string): Cause {
  const found = CAUSES.find(c => c.id === id)
  if (!found) throw new CoreError('unknown-cause', message('error.noCause', { id }))
  return found
}
