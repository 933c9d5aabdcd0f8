import type { ModelSheet } from '../modelSheet'
import { QUILLON_P5_ADJUSTERS } from './adjusters'
import { QUILLON_P5_MATRIX } from './matrix'
import { QUILLON_P5_PROCEDURE } from './procedure'

const RATED = 'service sheet (invented set)'

export const QUILLON_P5: ModelSheet = {
  id: 'quillon-p5',
  kind: 'cw-kit',
  model: 'Quillon P5',
  description: 'small CW transmitter and receiver kit, 14.060 MHz, 5 W, one IRF510',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'cw-20m',
  main: { mode: 'CW', fromChannel: 1, toChannel: 1, setting: '' },
  defaultRuleSetId: 'R-AM',
  nominalSupplyV: 12,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.03, high: 0.1 },
  keyedA: { low: 0.7, high: 1.3 },
  cautions: [
    'Resistance of the supply input and solder bridges before power; limit 0.5 A.',
    'Dummy load for every transmission.',
    'Both presets at their lowest end before the first key-down.',
    'No heat sink: bursts of 3 to 5 s.',
  ],
  specification: [
    { what: 'Supply', value: '12 V', source: RATED },
    { what: 'Output', value: '5 W, short bursts', source: RATED },
    { what: 'Gate voltage', value: '2.4 V, of this kit only', source: RATED },
    { what: 'Reference', value: '10 MHz at the header pin', source: RATED },
    {
      what: 'Current',
      value: '30 to 100 mA receiving, 0.7 to 1.3 A keyed',
      source: 'common practice',
    },
  ],
  adjusters: QUILLON_P5_ADJUSTERS,
  matrix: QUILLON_P5_MATRIX,
  procedure: QUILLON_P5_PROCEDURE,
  owed: [
    { id: 'A8.6', title: 'Values noted after a power cycle', why: 'values are lost silently otherwise' },
  ],
}
