import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

export const HIGH_POWER: KindInfo = {
  label: 'high-power mobile',
  rest: REST.usual,
  heatS: 120,
  warmUpS: WARM_UP_S.usual,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.sideband,
  firstLimitA: FIRST_LIMIT_A.usual,
  parts: ['coils', 'cores', 'limiter', 'transistor-final', 'power-control', 'linear-final'],
}
