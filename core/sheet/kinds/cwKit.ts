import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

export const CW_KIT: KindInfo = {
  label: 'CW kit',
  rest: REST.long,
  heatS: 15,
  warmUpS: WARM_UP_S.usual,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.sideband,
  firstLimitA: FIRST_LIMIT_A.kit,
  parts: ['coils', 'transistor-final', 'gate-preset'],
}
