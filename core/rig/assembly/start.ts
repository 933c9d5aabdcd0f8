import { heatPath } from '../../circuit'
import { rigDesign } from '../designs'
import type { RigDesign } from '../rigDesign'
import type { Controls, RigState, Stimulus, Surroundings } from '../rigState'
import { EXPANDED_MARK } from './positions'

/** A supply without a current limit; a number that survives JSON [A]. */
export const NO_LIMIT_A = 1e6
const QUIET: Stimulus = { tones: [], whistle: false, otherMicrophone: false, inputV: 0, inputHz: null }

/**
 * A healthy, aligned set, switched on cold.
 * @param seed varies its noise, and nothing else
 * @throws {CoreError} unknown-sheet
 */
export function healthyRig(designId: string, seed: number): RigState {
  const design = rigDesign(designId)
  return {
    designId,
    seed,
    parts: design.parts,
    controls: controlsAtStart(design),
    stimulus: QUIET,
    surroundings: surroundingsOf(design),
    damage: [],
    ...adjustersAtStart(design),
    memory: {
      timeS: 0,
      onS: 0,
      warmS: 0,
      loop: restingLoop(design),
      heat: heatPath.rest(design.parts.heat),
      driverRiseK: 0,
      highV: 0,
      keyedS: 0,
      keyedTotalS: 0,
      hottestC: 25,
    },
  }
}

function controlsAtStart(design: RigDesign): Controls {
  return {
    powerOn: true,
    mode: design.modes[0]!,
    channel: design.firstChannel,
    keyed: false,
    lowPower: false,
    coverage: 'standard',
    micGain: 1,
    clarifier: 0.5,
    driveOff: false,
  }
}
function surroundingsOf(design: RigDesign): Surroundings {
  return {
    supplyV: design.nominalSupplyV,
    limitA: NO_LIMIT_A,
    foldback: false,
    leadOhm: 0,
    ambientC: 25,
    humidity: 0.4,
  }
}
/** Adjusters that are set for each coverage stand in both. */
function adjustersAtStart(design: RigDesign): Pick<RigState, 'positions' | 'slugs'> {
  const adjusters = Object.entries(design.adjusters)
  return {
    positions: Object.fromEntries(
      adjusters
        .filter(([, a]) => a.kind !== 'core')
        .flatMap(([d, a]) =>
          (a.perCoverage ? [d, d + EXPANDED_MARK] : [d]).map(key => [key, a.start] as const),
        ),
    ),
    slugs: Object.fromEntries(
      adjusters
        .filter(([, a]) => a.kind === 'core')
        .map(([d, a]) => [d, { turns: a.start, waxed: a.waxed ?? false, broken: false }]),
    ),
  }
}
function restingLoop({ parts: { loop } }: RigDesign) {
  return { fromV: loop ? (loop.lowV + loop.railV) / 2 : 0, sinceS: 0 }
}
