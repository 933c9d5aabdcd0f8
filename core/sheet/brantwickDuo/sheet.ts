import type { ModelSheet } from '../modelSheet'
import { BRANTWICK_DUO_ADJUSTERS } from './adjusters'
import { BRANTWICK_DUO_MATRIX } from './matrix'
import { BRANTWICK_DUO_PROCEDURE } from './procedure'
import { FULL_DRIVE, TEN } from './targets'

const RATED = 'service sheet (invented set)'

export const BRANTWICK_DUO: ModelSheet = {
  id: 'brantwick-duo',
  kind: 'amplifier',
  model: 'Brantwick Duo',
  description: '10 m amplifier with two devices, 13.8 V, 13 dB of gain, 100 W PEP',
  revision: 1,
  revisedOn: '2026-12-01',
  planId: 'hf-five',
  main: { mode: 'CW', fromChannel: TEN, toChannel: TEN, setting: FULL_DRIVE },
  defaultRuleSetId: 'R-AM',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load, 150 W',
  idleA: { low: 0.2, high: 0.4 },
  keyedA: { low: 5, high: 9 },
  cautions: [
    'First power with the current limit at 1.5 A and no drive. Check fuse and polarity first.',
    'Dummy load rated for the PEP. More than 5 W PEP of drive kills the devices.',
    'An external amplifier is not allowed on CB under most rule sets: local regulation decides.',
    'White ceramic of RF power devices: do not break, file or sand.',
  ],
  specification: [
    { what: 'Supply', value: '13.8 V, up to 15 A on peaks', source: RATED },
    { what: 'Gain', value: '13 dB at 28.5 MHz, the same up to 5 W PEP of drive', source: RATED },
    { what: 'Output', value: '50 W carrier for seconds, 100 W PEP', source: RATED },
    { what: 'Products', value: 'at least 25 dB below one tone', source: 'common practice' },
    { what: 'Harmonics', value: 'at least 43 dB down', source: '47 CFR 97.307, from memory' },
  ],
  adjusters: BRANTWICK_DUO_ADJUSTERS,
  matrix: BRANTWICK_DUO_MATRIX,
  procedure: BRANTWICK_DUO_PROCEDURE,
  owed: [
    {
      id: 'D1.5',
      title: 'Drive limit written on the case',
      why: 'the owner is told how much drive it takes: 2.5 W of carrier, 5 W PEP',
    },
  ],
}
