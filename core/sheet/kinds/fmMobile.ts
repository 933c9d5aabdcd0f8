import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

export const FM_MOBILE: KindInfo = {
  label: 'FM mobile or base',
  rest: REST.usual,
  heatS: 45,
  warmUpS: WARM_UP_S.usual,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.usual,
  firstLimitA: FIRST_LIMIT_A.usual,
  parts: ['crystals', 'coils', 'cores', 'transistor-final'],
}
