import type { ModelSheet } from '../modelSheet'
import { QUILLON_P7_ADJUSTERS } from './adjusters'
import { QUILLON_P7_MATRIX } from './matrix'
import { QUILLON_P7_PROCEDURE } from './procedure'

const RATED = 'service sheet (invented set)'

export const QUILLON_P7: ModelSheet = {
  id: 'quillon-p7',
  kind: 'menu-qrp',
  model: 'Quillon P7',
  description: 'SDR-type QRP transceiver, 80 to 10 m, 5 W, everything a number in a menu',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'hf-five',
  main: { mode: 'CW', fromChannel: 1, toChannel: 5, setting: '' },
  defaultRuleSetId: 'R-AM',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.2, high: 0.4 },
  keyedA: { low: 0.7, high: 1.4 },
  cautions: [
    'First power with the current limit at 2 A. Check ' + 'polarity first: this set has no protection diode.',
    'Dummy load for every transmission.',
    'Bias before power: wrong bias overheats the final in seconds.',
    'Write every menu number down before the first change. A value is saved only after hold-to-save.',
  ],
  specification: [
    { what: 'Supply', value: '12 to 13.8 V', source: RATED },
    { what: 'Output', value: '5 W on each band', source: RATED },
    { what: 'Bias', value: 'current at bias 0 + 500 mA', source: 'common practice' },
    { what: 'Reference', value: '10 MHz at the rear connector', source: RATED },
    {
      what: 'Current',
      value: '0.2 to 0.4 A receiving, 0.7 to 1.4 A keyed',
      source: 'common practice',
    },
  ],
  adjusters: QUILLON_P7_ADJUSTERS,
  matrix: QUILLON_P7_MATRIX,
  procedure: QUILLON_P7_PROCEDURE,
  owed: [{ id: 'A9.9', title: 'Menu numbers noted after a power cycle', why: 'each with its own unit' }],
}
