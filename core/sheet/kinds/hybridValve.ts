import { DRIFT_HZ_PER_MIN, FIRST_LIMIT_A, REST, WARM_UP_S, type KindInfo } from './kindInfo'

export const HYBRID_VALVE: KindInfo = {
  label: 'hybrid valve transceiver',
  rest: REST.long,
  heatS: 30,
  warmUpS: WARM_UP_S.long,
  driftLimitHzPerMin: DRIFT_HZ_PER_MIN.sideband,
  firstLimitA: FIRST_LIMIT_A.usual,
  parts: ['coils', 'cores', 'valves', 'linear-final'],
}
