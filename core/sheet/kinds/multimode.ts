import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

export const MULTIMODE: KindInfo = {
  label: 'multimode',
  rest: REST.usual,
  heatS: 60,
  warmUpS: WARM_UP_S.long,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.sideband,
  firstLimitA: FIRST_LIMIT_A.usual,
  parts: [
    'coils',
    'cores',
    'limiter',
    'transistor-final',
    'power-control',
    'linear-final',
    'bands-in-memory',
  ],
}
