import { between } from '../part'

/** Ferrite leaves the winding after about this many turns either way; beyond, the core is at its stop. */
export const CORE_STOP_TURNS = 2

/**
 * Inductance of a coil with its core turned in, relative to the middle.
 *
 * @param perTurn change at the middle [ratio/turn], > 0
 * @param turns inwards; held at +/-2, the ends of the thread
 * @returns ratio > 0, rising and flattening towards the ends
 * Source: the core's grip fades as it leaves the winding; a hyperbolic tangent of that shape, not fitted to a
 * coil.
 * @example inductanceRatio(0.03, 1) // => 1.0277
 */
export function inductanceRatio(perTurn: number, turns: number): number {
  return (
    1 +
    perTurn * CORE_STOP_TURNS * Math.tanh(between(-CORE_STOP_TURNS, CORE_STOP_TURNS, turns) / CORE_STOP_TURNS)
  )
}
