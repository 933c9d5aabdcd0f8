import type { ModelSheet } from '../modelSheet'
import { OSMUND_27F_ADJUSTERS } from './adjusters'
import { OSMUND_27F_MATRIX } from './matrix'
import { OSMUND_27F_PROCEDURE } from './procedure'
import { OSMUND_27F_SCHEME, OSMUND_27F_TEST_POINTS } from './scheme'

const RATED = 'service sheet (invented set)'

export const OSMUND_27F: ModelSheet = {
  id: 'osmund-27f',
  kind: 'fm-mobile',
  model: 'Osmund 27F',
  description: 'FM mobile, 40 channels 27.60125 to 27.99125 MHz, 4 W / 0.4 W, three-crystal synthesiser',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'uk27',
  main: { mode: 'FM', fromChannel: 1, toChannel: 40, setting: '' },
  defaultRuleSetId: 'R-UK27',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.2, high: 0.45 },
  keyedA: { low: 0.9, high: 1.4 },
  cautions: [
    'First power with the current limit at 1.5 A. Check fuse and polarity first.',
    'Dummy load for every transmission; never align into an antenna.',
    'Measure as found, receiver included, before any adjustment.',
    'Converted boards may carry a memory chip on a sub-board that remaps channels and hides the reference pin.',
  ],
  specification: [
    { what: 'Supply', value: '13.8 V at the set while keyed, negative earth', source: RATED },
    {
      what: 'Transmit',
      value: '27.60125 to 27.99125 MHz, 10 kHz steps; f = 2 f(XT) + N \u00d7 10 kHz, N = 150 + channel',
      source: RATED,
    },
    { what: 'Crystals', value: 'reference 10.240 MHz, XT 13.045 625 MHz, XR 15.396 250 MHz', source: RATED },
    { what: 'Intermediate frequencies', value: '10.695 MHz and 455 kHz', source: RATED },
    { what: 'Power', value: '4 W / 0.4 W', source: RATED },
    { what: 'Deviation', value: 'up to 2.5 kHz', source: RATED },
    {
      what: 'Sensitivity',
      value: 'better than 0.5 \u00b5V for 12 dB SINAD',
      source: 'usual figure, from memory',
    },
    {
      what: 'Current',
      value: '0.2 to 0.45 A receiving, 0.9 to 1.4 A keyed',
      source: 'common practice',
    },
  ],
  adjusters: OSMUND_27F_ADJUSTERS,
  matrix: OSMUND_27F_MATRIX,
  procedure: OSMUND_27F_PROCEDURE,
  scheme: OSMUND_27F_SCHEME,
  testPoints: OSMUND_27F_TEST_POINTS,
  boards: [{ side: 'parts', drawing: 'osmund-27f', pictureId: null }],
  typicalFaults: [
    {
      seen: 'every channel low by the same ppm, receiver off centre',
      cause: 'reference aged, masked by the transmit trimmer',
      cure: 'CT1 first, then CT2',
    },
    { seen: 'one end of the band without power', cause: 'coils over-peaked', cure: 'balance with L5 and L6' },
  ],
  inspection: [
    {
      id: 'X27-1',
      lookFor: 'Sub-board with a memory chip',
      good: 'not fitted',
      bad: 'converted: channels remapped, the reference pin hidden',
    },
  ],
  owed: [
    {
      id: 'A1.6',
      title: 'Receive frequency',
      why: 'second IF centred on 455.0 kHz with the receive trimmer CT3; often a separate session',
    },
    {
      id: 'A1.16',
      title: 'Harmonics, then re-wax',
      why: 'needs a spectrum analyser; wax the cores once the harmonics are clean',
    },
  ],
}
