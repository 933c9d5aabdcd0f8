import type { ModelSheet } from '../modelSheet'
import { LARKFIELD_LX8_ADJUSTERS } from './adjusters'
import { LARKFIELD_LX8_MATRIX } from './matrix'
import { LARKFIELD_LX8_PROCEDURE } from './procedure'
import { LARKFIELD_LX8_SCHEME } from './scheme'

const RATED = 'service sheet (invented set)'

export const LARKFIELD_LX8: ModelSheet = {
  id: 'larkfield-lx8',
  kind: 'multimode',
  model: 'Larkfield LX-8',
  description:
    'AM/FM/SSB multimode mobile, 240 channels over six bands A to F, two finals; only band D is a CB plan',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'six-band',
  main: { mode: 'AM', fromChannel: 121, toChannel: 160, setting: '' },
  defaultRuleSetId: 'R-EU',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.3, high: 0.7 },
  keyedA: { low: 1.3, high: 2.2 },
  cautions: [
    'First power with the current limit at 1.5 A. Check fuse and polarity first.',
    'Dummy load for every transmission; never align into an antenna.',
    'Bands A, B, C, E and F lie outside the CB plan: restore the standard state ' +
      'unless expansion is asked in writing and legal where the set is used.',
    'Check limiter parts and the AM regulator first: both are often reworked for power.',
  ],
  specification: [
    { what: 'Supply', value: '13.8 V at the set while keyed, negative earth', source: RATED },
    {
      what: 'Bands',
      value: 'A 25.615, B 26.065, C 26.515, D 26.965, E 27.415, F 27.865 MHz for channel 1',
      source: 'common practice',
    },
    {
      what: 'Transmit',
      value: 'AM and FM 4 W; SSB 12 W PEP; the finals reach about 20 W PEP',
      source: RATED,
    },
    { what: 'Carrier oscillators', value: 'AM 10.6950, USB 10.6925, LSB 10.6975 MHz', source: RATED },
    { what: 'Idle current', value: '50 mA in each final without drive', source: RATED },
    {
      what: 'SSB',
      value: 'third-order products 25 dB below one tone, carrier 40 dB below PEP',
      source: 'common practice',
    },
    {
      what: 'Current',
      value: '0.3 to 0.7 A receiving, 1.3 to 2.2 A keyed, SSB peaks 2.5 to 4 A',
      source: 'common practice',
    },
  ],
  adjusters: LARKFIELD_LX8_ADJUSTERS,
  matrix: LARKFIELD_LX8_MATRIX,
  procedure: LARKFIELD_LX8_PROCEDURE,
  scheme: LARKFIELD_LX8_SCHEME,
  boards: [{ side: 'parts', drawing: 'larkfield-lx8', pictureId: null }],
  owed: [
    {
      id: 'A3.16b',
      title: 'Counter module, clarifier range, panel meters',
      why: 'display correct on every band; clarifier nulls at 12 o\u2019clock',
    },
    {
      id: 'A3.cov',
      title: 'Coverage restored to the standard state',
      why: 'a set does not leave expanded without a written request and a place where it is legal',
    },
  ],
}
