import type { ModelSheet } from '../modelSheet'
import { CORVID_M9_ADJUSTERS } from './adjusters'
import { CORVID_M9_MATRIX } from './matrix'
import { CORVID_M9_PROCEDURE } from './procedure'
import { CHANNELS } from './targets'

const RATED = 'service sheet (invented set)'

export const CORVID_M9: ModelSheet = {
  ...CHANNELS,
  id: 'corvid-m9',
  kind: 'menu-mobile',
  model: 'Corvid M9',
  description:
    'AM/FM mobile without presets, two country states with menu values of their own, FM on two channel plans',
  revision: 1,
  revisedOn: '2026-12-01',
  main: { mode: 'FM', fromChannel: 1, toChannel: 40, setting: '' },
  defaultRuleSetId: 'R-EU',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.2, high: 0.5 },
  keyedA: { low: 1, high: 1.6 },
  cautions: [
    'First power with the current limit at 1.5 A. Check fuse and polarity first.',
    'Dummy load for every transmission; never align into an antenna.',
    'Write down every menu value before the first change.',
    'Work in the menu may end the type approval where one is required; local regulation decides.',
    'The expanded state is not for use where it is not allowed.',
  ],
  specification: [
    { what: 'Supply', value: '13.8 V at the set while keyed, negative earth', source: RATED },
    {
      what: 'Transmit',
      value: '26.965 to 27.405 MHz, AM and FM, 4 W; FM also on 27.60125 to 27.99125 MHz',
      source: RATED,
    },
    { what: 'Menu', value: 'entries P1 to S1, 00 to FF, one set for each country state', source: RATED },
  ],
  adjusters: CORVID_M9_ADJUSTERS,
  matrix: CORVID_M9_MATRIX,
  procedure: CORVID_M9_PROCEDURE,
  owed: [
    {
      id: 'M9.11',
      title: 'Home state at the end',
      why: 'the set leaves in the state that is allowed where it is used',
    },
  ],
}
