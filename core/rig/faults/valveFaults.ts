import { worse, type RigFault } from './fault'

export const VALVE_FAULTS: readonly RigFault[] = [
  {
    id: 'X17',
    designIds: ['quillon-hb150'],
    difficulty: 2,
    name: 'output valves worn out',
    causeIds: ['worn-valves'],
    shows: 'output a quarter to a third, dips normal',
    apply: s => worse(s, 'valves', { emission: 0.445 }),
    cured: s => s.parts.valves!.emission > 0.8,
  },
  {
    id: 'X30',
    designIds: ['quillon-hb150'],
    difficulty: 2,
    name: 'bleeder open: high voltage stays after switching off',
    causeIds: [],
    shows: 'plate supply after switching off',
    apply: s => worse(s, 'highVoltage', { bleederOpen: true }),
    cured: s => !s.parts.highVoltage!.bleederOpen,
  },
]
