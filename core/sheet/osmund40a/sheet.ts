import type { ModelSheet } from '../modelSheet'
import { OSMUND_40A_ADJUSTERS } from './adjusters'
import { OSMUND_40A_MATRIX } from './matrix'
import { OSMUND_40A_PROCEDURE } from './procedure'

const RATED = 'service sheet (invented set)'

export const OSMUND_40A: ModelSheet = {
  id: 'osmund-40a',
  kind: 'am-mobile',
  model: 'Osmund 40A',
  description:
    'AM mobile, 40 channels 26.965 to 27.405 MHz, 4 W, one 10.240 MHz reference, no frequency trimmer fitted',
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
    'Measure as found, receiver included, before any adjustment.',
    'Look for the limiter parts before believing any depth reading: they are often clipped out.',
  ],
  specification: [
    { what: 'Supply', value: '13.8 V at the set while keyed, negative earth', source: RATED },
    {
      what: 'Transmit',
      value: '26.965 to 27.405 MHz, 40 channels, everything from one 10.240 MHz crystal',
      source: RATED,
    },
    { what: 'Carrier', value: '4 W; the final reaches about 21 W PEP', source: RATED },
    { what: 'Depth', value: '90 % at 1 kHz 30 mV, held by the limiter 16 dB above', source: RATED },
    {
      what: 'Receiver',
      value: 'audible threshold better than 1 \u00b5V; S9 at 100 \u00b5V',
      source: 'common practice',
    },
    { what: 'VCO voltage', value: '2.2 V on channel 1 at TP3', source: RATED },
    {
      what: 'Current',
      value: '0.2 to 0.5 A receiving, 1.0 to 1.6 A keyed, peaks 2 to 2.8 A',
      source: 'common practice',
    },
  ],
  adjusters: OSMUND_40A_ADJUSTERS,
  matrix: OSMUND_40A_MATRIX,
  procedure: OSMUND_40A_PROCEDURE,
  owed: [
    {
      id: 'A2.12',
      title: 'Voice on the envelope, soak',
      why: 'speak into the owner\u2019s microphone and look at the envelope; then soak',
    },
  ],
}
