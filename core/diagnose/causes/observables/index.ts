import { message } from '../../../message'
import { CoreError } from '../../../errors'
import type { Observable } from '../observable'
import { FREQUENCY_OBSERVABLES } from './ofFrequency'
import { POWER_TESTS } from './byHandPower'
import { SIGNAL_TESTS } from './byHandSignal'
import { MODULATION_OBSERVABLES } from './ofModulation'
import { OUTPUT_OBSERVABLES } from './ofOutput'
import { POWER_OBSERVABLES } from './ofPower'
import { RECEIVER_OBSERVABLES } from './ofReceiver'
import { SIDEBAND_OBSERVABLES } from './ofSideband'

/** Every question that can be put to a set: by readings first, then by hand. */
export const OBSERVABLES: readonly Observable[] = [
  ...POWER_OBSERVABLES,
  ...FREQUENCY_OBSERVABLES,
  ...MODULATION_OBSERVABLES,
  ...RECEIVER_OBSERVABLES,
  ...SIDEBAND_OBSERVABLES,
  ...OUTPUT_OBSERVABLES,
  ...POWER_TESTS,
  ...SIGNAL_TESTS,
]

/** @throws {CoreError} unknown-observable */
export function observableOf(id: string): Observable {
  const found = OBSERVABLES.find(o => o.id === id)
  if (!found) throw new CoreError('unknown-observable', message('error.noTest', { id }))
  return found
}
