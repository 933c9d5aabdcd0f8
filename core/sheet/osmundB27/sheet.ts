import type { ModelSheet } from '../modelSheet'
import { OSMUND_27F_SCHEME } from '../osmund27f/scheme'
import { OSMUND_B27_ADJUSTERS } from './adjusters'
import { OSMUND_B27_MATRIX } from './matrix'
import { OSMUND_B27_PROCEDURE } from './procedure'

const RATED = 'workshop sheet (invented set)'
const POWER_CONTROL = 'Power control'

export const OSMUND_B27: ModelSheet = {
  id: 'osmund-b27',
  kind: 'fm-mobile',
  model: 'Osmund B27',
  description:
    'FM base station, 40 channels 27.60125 to 27.99125 MHz, 4 W, variable power, three-crystal synthesiser',
  revision: 1,
  revisedOn: '2026-12-01',
  planId: 'uk27',
  main: { mode: 'FM', fromChannel: 1, toChannel: 40, setting: '' },
  defaultRuleSetId: 'R-UK27',
  nominalSupplyV: 13.8,
  load: '50 \u03a9 dummy load',
  idleA: { low: 0.2, high: 0.5 },
  keyedA: { low: 0.9, high: 1.5 },
  cautions: [
    'First power with the current limit at 1.5 A. Check fuse and polarity first.',
    'Dummy load for every transmission; never align into an antenna.',
    'Measure as found, receiver included, before any adjustment.',
  ],
  specification: [
    {
      what: 'Transmit',
      value: '27.60125 to 27.99125 MHz, 10 kHz steps; f = 2 f(XT) + N \u00d7 10 kHz, N = 150 + channel',
      source: RATED,
    },
    { what: 'Crystals', value: 'reference 10.240 MHz, XT 13.045 625 MHz, XR 15.396 250 MHz', source: RATED },
    { what: 'Intermediate frequencies', value: '10.695 MHz and 455 kHz', source: RATED },
    { what: 'Power', value: '4 W, down to about 0.5 W by the power control', source: RATED },
    { what: 'Deviation', value: 'up to 2.5 kHz', source: RATED },
  ],
  adjusters: OSMUND_B27_ADJUSTERS,
  matrix: OSMUND_B27_MATRIX,
  procedure: OSMUND_B27_PROCEDURE,
  powerNames: { high: 'MAX' },
  powerControls: [{ name: POWER_CONTROL, lowestPointId: 'least-20', highestPointId: 'ch-20' }],
  scheme: OSMUND_27F_SCHEME,
  testPoints: [
    {
      id: 'TP1',
      name: 'reference pin, pin 6 of IC3',
      where: 'solder side',
      expected: '10.240 MHz, buffered',
      caution: 'Clip the probe: a slip shorts the pin.',
      board: { x: 0.25, y: 0.3, side: 'solder' },
    },
  ],
  owed: [
    {
      id: 'A1.6',
      title: 'Receive frequency',
      why: 'second IF centred on 455.0 kHz with the receive trimmer; often a separate session',
    },
    {
      id: 'A1.16',
      title: 'Harmonics, then re-wax',
      why: 'needs a spectrum analyser; wax the cores once the harmonics are clean',
    },
  ],
}
