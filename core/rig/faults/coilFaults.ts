import { turnsFor } from '../../circuit'
import { left, withCore, worse, type RigFault } from './fault'

/** Coil that a row of the table speaks of, by design. */
const OUTPUT_COIL = { 'osmund-27f': 'L6', 'osmund-40a': 'L8' } as Record<string, string>
const DRIVE_COIL = { 'osmund-27f': 'L4', 'osmund-40a': 'L6' } as Record<string, string>
const BAND_CENTRE_HZ = { 'osmund-27f': 27_791_250, 'osmund-40a': 27_185_000 } as Record<string, number>
const COIL_SETS = ['osmund-27f', 'osmund-40a']

export const COIL_FAULTS: readonly RigFault[] = [
  {
    id: 'X04',
    designIds: COIL_SETS,
    difficulty: 1,
    name: 'output coil tuned 300 kHz high: one end of the band is weak',
    causeIds: ['coils-off'],
    shows: 'power on the low, middle and high channel',
    apply: s => {
      const coil = OUTPUT_COIL[s.designId]!
      const sharp = { ...s.parts.stages[coil]!, q: 30 }
      return left(
        worse(s, 'stages', { [coil]: sharp }),
        coil,
        turnsFor(sharp, BAND_CENTRE_HZ[s.designId]! + 300_000),
      )
    },
    cured: s => Math.abs(s.slugs[OUTPUT_COIL[s.designId]!]!.turns) < 0.45,
  },
  {
    id: 'X05',
    designIds: COIL_SETS,
    difficulty: 2,
    name: 'core split: moves without effect',
    causeIds: ['broken-core', 'coils-off'],
    shows: 'a whole turn changes nothing, stage weak',
    apply: s => withCore(s, DRIVE_COIL[s.designId]!, { broken: true }),
    cured: s => !s.slugs[DRIVE_COIL[s.designId]!]!.broken,
  },
  {
    id: 'X06',
    designIds: COIL_SETS,
    difficulty: 1,
    name: 'waxed core, mis-set',
    causeIds: ['coils-off'],
    shows: 'does not move until the wax is soft; splits when forced',
    apply: s => withCore(s, DRIVE_COIL[s.designId]!, { waxed: true, turns: -1.6 }),
    cured: s =>
      Math.abs(s.slugs[DRIVE_COIL[s.designId]!]!.turns) < 0.5 && !s.slugs[DRIVE_COIL[s.designId]!]!.broken,
  },
]
