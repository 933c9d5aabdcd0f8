import { NO_LIMIT_A, rigDesign, type RigState } from '#core/rig'
import { modelSheet } from '#core/sheet'

/** Current limit that a sensible bench sets: above what the set draws when keyed. */
const LIMIT_MARGIN = 1.3

/** A sensible current limit stands at the supply before anything is connected. */
export function withSupplyLimit(state: RigState): RigState {
  const design = rigDesign(state.designId)
  const { final, driver, supplyInput } = design.parts
  const wideOpenA =
    final.saturatedW / (final.efficiency * design.nominalSupplyV) +
    driver.currentA +
    supplyInput.receiveA +
    supplyInput.exciterA
  const limitA = state.parts.valves
    ? NO_LIMIT_A
    : LIMIT_MARGIN * Math.max(modelSheet(design.id).keyedA.high, wideOpenA)
  return { ...state, surroundings: { ...state.surroundings, limitA } }
}
