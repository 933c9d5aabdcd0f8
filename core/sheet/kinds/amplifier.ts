import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

/** It sets no frequency and has no receiver: drive in, power out. */
export const AMPLIFIER: KindInfo = {
  label: 'amplifier',
  rest: REST.usual,
  heatS: 120,
  warmUpS: WARM_UP_S.usual,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.usual,
  firstLimitA: FIRST_LIMIT_A.usual,
  parts: ['transistor-final', 'linear-final', 'no-receiver'],
}
