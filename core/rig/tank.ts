import { piParts } from '../circuit'
import type { At, RigDesign } from './rigDesign'
import type { RigState } from './rigState'

/** What the tank is laid out for (model sheet of the invented set): load of the plates, antenna, loaded Q. */
const PLATE_OHM = 1650
const ANTENNA_OHM = 50
const LOADED_Q = 12
/**
 * The plate capacitor covers this share of its nominal value over its travel; the load capacitor this one,
 * falling as the number rises.
 */
const PLATE_TRAVEL = { from: 0.75, to: 1.25 }
const LOAD_TRAVEL = { from: 1.7, to: 0.4 }

/** Coil of the band with both capacitors where they stand. */
export function tankAt(_design: RigDesign, state: RigState, at: At, frequencyHz: number) {
  const nominal = piParts(PLATE_OHM, ANTENNA_OHM, LOADED_Q, frequencyHz)
  return {
    network: { ...state.parts.tank!, inductanceH: nominal.inductanceH, loadOhm: ANTENNA_OHM },
    input: {
      frequencyHz,
      plateF: nominal.plateF * travel(PLATE_TRAVEL, at('PLATE')),
      loadF: nominal.loadF * travel(LOAD_TRAVEL, at('LOAD')),
    },
  }
}

function travel({ from, to }: { from: number; to: number }, position: number): number {
  return from + (to - from) * position
}
