import { truthOf } from '../assembly/truth'
import { left, type RigFault } from './fault'

/** As a barge radio comes in after forty years: everything stands where somebody or time left it. */
const NEGLECTED: Readonly<Record<string, number>> = {
  CT1: 0.8912,
  CT2: 0.412,
  CT3: 0.4179,
  L1: 0.1,
  L2: -0.15,
  L3: 0.2,
  L4: -1.6,
  L5: 0.1,
  L6: -1.8,
  L7: 0,
  RV1: 0.78,
  RV2: 0.72,
  RV3: 0.3,
}
const REFERENCE_HZ = 10_240_000

export const NEGLECT_FAULTS: readonly RigFault[] = [
  {
    id: 'XN1',
    designIds: ['osmund-27f'],
    difficulty: 1,
    name: 'neglected: reference 40 ppm low, coils staggered, presets set too high',
    causeIds: ['reference-off', 'reference-hidden', 'coils-off', 'deviation-preset-high'],
    shows: 'nearly every reading',
    apply: s => Object.entries(NEGLECTED).reduce((state, [d, p]) => left(state, d, p), s),
    cured: s =>
      Math.abs(truthOf(s).values.referenceHz! / REFERENCE_HZ - 1) < 3e-6 &&
      Math.abs(s.slugs.L4!.turns) < 0.6 &&
      s.positions.RV2! < 0.63,
  },
]
