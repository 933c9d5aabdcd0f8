import { message } from '../../message'
import { between, presetTrack } from '../../circuit'
import { CoreError } from '../../errors'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'

/**
 * Menu values that are kept for each country state lie under the entry with this mark in the expanded one.
 */
export const EXPANDED_MARK = '\u2032'

/** Key under which a position is kept: a menu keeps separate values for each country state. */
export function positionKey(
  design: RigDesign,
  designator: string,
  coverage: RigState['controls']['coverage'],
): string {
  return design.adjusters[designator]?.perCoverage && coverage === 'expanded'
    ? designator + EXPANDED_MARK
    : designator
}

/**
 * Electrical positions of a set: what the wiper really touches, what the core really does.
 * @throws {CoreError} unknown-adjuster
 */
export function positionsOf(design: RigDesign, state: RigState): At {
  return designator => {
    const spec = design.adjusters[designator]
    if (!spec)
      throw new CoreError(
        'unknown-adjuster',
        message('error.noAdjusterInSet', { designator, name: design.name }),
      )
    if (spec.kind === 'core') return state.slugs[designator]!.turns
    const position = state.positions[positionKey(design, designator, state.controls.coverage)]!
    if (spec.kind === 'menu-value') return between(0, spec.max ?? 255, Math.round(position))
    return spec.kind === 'preset'
      ? presetTrack.respond(
          { dirty: state.parts.tracks[designator]?.dirty ?? false, seed: state.seed },
          { position },
          null,
        )
      : between(0, 1, position)
  }
}
