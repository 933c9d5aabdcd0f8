import type { ModelSheet } from '../modelSheet'
import { QUILLON_HB150_ADJUSTERS } from './adjusters'
import { QUILLON_HB150_MATRIX } from './matrix'
import { QUILLON_HB150_PROCEDURE } from './procedure'
import { TUNED } from './targets'

const RATED = 'service sheet (invented set)'

export const QUILLON_HB150: ModelSheet = {
  id: 'quillon-hb150',
  kind: 'hybrid-valve',
  model: 'Quillon HB-150',
  description: 'hybrid valve HF transceiver, 80 to 10 m, two output valves, about 120 W',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'hf-five',
  main: { mode: 'CW', fromChannel: 1, toChannel: 5, setting: TUNED },
  defaultRuleSetId: 'R-AM',
  nominalSupplyV: 230,
  plateV: 800,
  load: '50 \u03a9 dummy load, 200 W',
  idleA: { low: 0.26, high: 0.52 },
  keyedA: { low: 1.1, high: 1.6 },
  cautions: [
    'Several hundred to over 1000 V inside, lethal: competent persons only. Unplug, wait, ' +
      'discharge through a resistor, check for less than 30 V, one hand, no ring or watch.',
    'The bleeder may be open: high voltage stays for hours.',
    'Dummy load for every transmission; 10 s keyed at most until dipped, 20 s after, rest 30 to 60 s.',
    'Long unused: heaters first, on a lamp limiter or variable transformer.',
  ],
  specification: [
    {
      what: 'Supply',
      value: '230 V mains: 60 to 120 W receiving, 250 to 350 W keyed',
      source: 'common practice',
    },
    { what: 'Output', value: '100 to 140 W CW and PEP', source: 'common practice' },
    { what: 'Idle current', value: '60 mA for the pair: 3 divisions of 20 mA', source: RATED },
    {
      what: 'Plate',
      value: '800 V, 250 mA tuned; output above 0.7 of the plate input is a wrong reading',
      source: RATED,
    },
    {
      what: 'AM',
      value: 'carrier 25 to 30 W, peaks about 120 W, cathode current 200 mA max.',
      source: 'common practice',
    },
    { what: 'S9', value: '50 \u00b5V at the antenna socket', source: 'common practice' },
  ],
  adjusters: QUILLON_HB150_ADJUSTERS,
  matrix: QUILLON_HB150_MATRIX,
  procedure: QUILLON_HB150_PROCEDURE,
  owed: [
    {
      id: 'A6.8',
      title: 'Antenna only after this, through the tuner, at half carrier',
      why: 'rig first, antenna second',
    },
    {
      id: 'A6.10',
      title: 'Settings per band written down',
      why: 'preselector, plate, load: reusable presets',
      doneBy: 'settings-card',
    },
  ],
}
