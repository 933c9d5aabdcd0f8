import { between, type CircuitPart } from '../part'
import { vcoControlV, type Vco } from './vco'

/** A phase-locked loop around a VCO. */
export interface LockedLoop {
  readonly vco: Vco
  /** the charge pump works between these [V] */
  readonly lowV: number
  readonly railV: number
  /** how fast the pump drives the filter towards a rail [s] */
  readonly pumpS: number
  /**
   * conductive glue over the tank: capacitance at full humidity [F], 0 = none, and the wander it makes [Hz]
   */
  readonly glueF: number
  readonly glueWanderHz: number
}

export interface LoopInput {
  readonly neededHz: number
  readonly turns: number
  /** 0..1 */
  readonly humidity: number
}
export interface LoopMemory {
  /** voltage before the last change [V] */
  readonly fromV: number
  readonly sinceS: number
}
export interface LoopState {
  readonly controlV: number
  readonly inRange: boolean
  readonly locked: boolean
  /** Infinity = never */
  readonly lockS: number
  readonly wanderHz: number
}

/** A loop needs a moment even for no step at all [s]. */
const SETTLE_S = 0.08

/**
 * Control voltage, lock and lock time.
 *
 * The pump drives the loop filter towards a rail; the nearer the voltage it needs lies to that rail, the
 * longer it takes, without end at the rail.
 * Source: t = tau ln((rail - from)/(rail - to)), an RC towards the rail; common practice: a fraction
 * of a second, several seconds is a fault.
 */
export const lockedLoop: CircuitPart<LockedLoop, LoopInput, LoopState, LoopMemory> = {
  kind: 'locked loop',
  rest: ({ lowV, railV }) => ({ fromV: (lowV + railV) / 2, sinceS: 0 }),
  respond: (p, { neededHz, turns, humidity }, { fromV, sinceS }) => {
    const wantedV = vcoControlV(p.vco, neededHz, turns, p.glueF * humidity)
    const inRange = wantedV > p.lowV && wantedV < p.railV
    const from = between(p.lowV + 0.01, p.railV - 0.01, fromV)
    const lockS = !inRange
      ? Infinity
      : SETTLE_S +
        p.pumpS *
          Math.log(
            wantedV > from ? (p.railV - from) / (p.railV - wantedV) : (from - p.lowV) / (wantedV - p.lowV),
          )
    return {
      controlV: between(p.lowV, p.railV, wantedV),
      inRange,
      locked: inRange && sinceS >= lockS,
      lockS,
      wanderHz: p.glueF > 0 ? p.glueWanderHz : 0,
    }
  },
  pass: (_p, _input, { fromV, sinceS }, dtS) => ({ fromV, sinceS: sinceS + dtS }),
}
