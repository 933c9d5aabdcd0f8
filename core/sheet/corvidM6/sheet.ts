import type { ModelSheet } from '../modelSheet'
import { CORVID_M6_ADJUSTERS } from './adjusters'
import { CORVID_M6_MATRIX } from './matrix'
import { CORVID_M6_PROCEDURE } from './procedure'

const RATED = 'service sheet (invented set)'

export const CORVID_M6: ModelSheet = {
  id: 'corvid-m6',
  kind: 'menu-mobile',
  model: 'Corvid M6',
  description:
    'AM/FM mobile without presets: hexadecimal values in a hidden service menu, separate ones for each country state',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'forty',
  main: { mode: 'AM', fromChannel: 1, toChannel: 40, setting: '' },
  defaultRuleSetId: 'R-EU',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.2, high: 0.5 },
  keyedA: { low: 1, high: 1.6 },
  cautions: [
    'First power with the current limit at 1.5 A. Check fuse and polarity first.',
    'Dummy load for every transmission; never align into an antenna.',
    'Write down every menu value before the first change.',
    'Do not leave a set in the expanded state without ' + 'a written request and a place where it is legal.',
  ],
  specification: [
    { what: 'Supply', value: '13.8 V at the set while keyed, negative earth', source: RATED },
    { what: 'Transmit', value: '26.965 to 27.405 MHz, AM and FM, 4 W and 0.4 W', source: RATED },
    { what: 'Menu', value: 'entries 01 to 08, 00 to FF; key sequence within 5 s', source: RATED },
    { what: 'Power per step', value: '0.15 to 0.2 W per step near 4 W', source: 'common practice' },
    {
      what: 'Current',
      value: '0.2 to 0.5 A receiving, 1.0 to 1.6 A keyed',
      source: 'common practice',
    },
  ],
  adjusters: CORVID_M6_ADJUSTERS,
  matrix: CORVID_M6_MATRIX,
  procedure: CORVID_M6_PROCEDURE,
  owed: [
    {
      id: 'A4.9',
      title: 'Menu values as left on the handover',
      why: 'the owner or the next technician needs them',
    },
  ],
}
