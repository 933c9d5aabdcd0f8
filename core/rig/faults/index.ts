import { message } from '../../message'
import { CoreError } from '../../errors'
import { COIL_FAULTS } from './coilFaults'
import type { RigFault } from './fault'
import { FREQUENCY_FAULTS } from './frequencyFaults'
import { MODULATION_FAULTS } from './modulationFaults'
import { NEGLECT_FAULTS } from './neglectFaults'
import { POWER_FAULTS } from './powerFaults'
import { METER_FAULTS, RECEIVER_FAULTS } from './receiverAndMeterFaults'
import { VALVE_FAULTS } from './valveFaults'

export type { RigFault } from './fault'

/**
 * Every fault of the practice bench. Ids with two digits are rows of the table of symptoms, those with a
 * letter are invented beside it.
 */
export const RIG_FAULTS: readonly RigFault[] = [
  ...FREQUENCY_FAULTS,
  ...COIL_FAULTS,
  ...MODULATION_FAULTS,
  ...POWER_FAULTS,
  ...RECEIVER_FAULTS,
  ...METER_FAULTS,
  ...VALVE_FAULTS,
  ...NEGLECT_FAULTS,
]

/** @throws {CoreError} unknown-cause */
export function rigFault(id: string): RigFault {
  const found = RIG_FAULTS.find(f => f.id === id)
  if (!found) throw new CoreError('unknown-cause', message('error.noFault', { id }))
  return found
}
