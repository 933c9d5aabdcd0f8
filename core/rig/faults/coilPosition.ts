import { boundaryOf } from '../../numeric/search'
import { CORE_STOP_TURNS, crystalOscillator, vcoControlV, type CrystalOscillator } from '../../circuit'
import { frequenciesOf } from '../assembly/frequencies'
import { positionsOf } from '../assembly/positions'
import { rigDesign } from '../designs'
import type { RigState } from '../rigState'

/**
 * Turns at which a coil-pulled oscillator, warm and at 25 deg C, makes a frequency; the nearer stop when it
 * does not reach. Turning in lowers it.
 */
export function coilPositionFor(oscillator: CrystalOscillator, frequencyHz: number): number {
  return turnsWhere(
    turns =>
      crystalOscillator.respond(oscillator, { trimmer: 0.5, turns, ambientC: 25 }, { coldShare: 0 }) >
      frequencyHz,
  )
}

/** Turns of the VCO coil at which a channel needs controlV. Turning in asks for more volts. */
export function vcoTurnsFor(state: RigState, channel: number, controlV: number): number {
  const design = rigDesign(state.designId)
  const { vcoHz } = frequenciesOf(
    design,
    { ...state, controls: { ...state.controls, channel } },
    positionsOf(design, state),
  )
  return turnsWhere(turns => vcoControlV(state.parts.loop!.vco, vcoHz, turns) < controlV)
}

/** The turn, between the stops, up to which a condition holds. */
const turnsWhere = (stillOut: (turns: number) => boolean) =>
  boundaryOf(-CORE_STOP_TURNS, CORE_STOP_TURNS, stillOut)
