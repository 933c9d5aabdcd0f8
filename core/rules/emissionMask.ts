import { powerDb } from '../quantity'
import type { Mode } from './mode'
import type { MaskPart } from './ruleSet'

/** Far edge of what is looked at beside a channel [Hz]. */
export const MASK_END_HZ = 250_000

/** A part of an emission mask for one mode and power; below the carrier (AM, FM) or the PEP (SSB). */
export interface EmissionMaskPart {
  readonly fromHz: number
  readonly toHz: number
  readonly belowDb: number
}

/**
 * Emission mask of a rule set for a mode and a power. CW is judged by the parts written for it only.
 *
 * @param powerW Carrier power, or PEP on SSB [W], > 0
 * @returns Null when the rule set has no mask for the mode
 */
export function emissionMask(
  parts: readonly MaskPart[],
  mode: Mode,
  powerW: number,
): readonly EmissionMaskPart[] | null {
  const aboveWattDb = powerDb(powerW)
  const own = parts
    .filter(p => p.modes.includes(mode))
    .map(({ fromHz, toHz, belowDb, addsPowerDb }) => ({
      fromHz,
      toHz,
      belowDb: addsPowerDb ? belowDb + aboveWattDb : belowDb,
    }))
  return own.length > 0 ? own : null
}
