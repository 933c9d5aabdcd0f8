import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

export const MENU_QRP: KindInfo = {
  label: 'menu-driven QRP',
  rest: REST.long,
  heatS: 20,
  warmUpS: WARM_UP_S.usual,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.sideband,
  firstLimitA: FIRST_LIMIT_A.usual,
  parts: ['coils', 'transistor-final'],
}
