import { decay, type CircuitPart } from '../part'

/** From the junction to the sink, from the sink to the air. */
export interface HeatPath {
  readonly junctionKPerW: number
  readonly junctionS: number
  readonly sinkKPerW: number
  readonly sinkS: number
}

export interface HeatInput {
  readonly heatW: number
  readonly ambientC: number
}
export interface HeatMemory {
  readonly junctionRiseK: number
  readonly sinkRiseK: number
}
export interface Temperatures {
  readonly junctionC: number
  readonly sinkC: number
}

/**
 * Temperatures [deg C] of an output device. Source: one pole each, dT = P Rth (1 - exp(-t/tau)) (C41); exact
 * for steady heat.
 */
export const heatPath: CircuitPart<HeatPath, HeatInput, Temperatures, HeatMemory> = {
  kind: 'heat path',
  rest: () => ({ junctionRiseK: 0, sinkRiseK: 0 }),
  respond: (_p, { ambientC }, { junctionRiseK, sinkRiseK }) => ({
    sinkC: ambientC + sinkRiseK,
    junctionC: ambientC + sinkRiseK + junctionRiseK,
  }),
  pass: (p, { heatW }, { junctionRiseK, sinkRiseK }, dtS) => ({
    junctionRiseK: towards(junctionRiseK, heatW * p.junctionKPerW, dtS, p.junctionS),
    sinkRiseK: towards(sinkRiseK, heatW * p.sinkKPerW, dtS, p.sinkS),
  }),
}

function towards(from: number, end: number, dtS: number, timeConstantS: number): number {
  return end + (from - end) * decay(dtS, timeConstantS)
}
