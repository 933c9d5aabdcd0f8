import type { ModelSheet } from '../modelSheet'
import { BRANTWICK_TALLIS60_ADJUSTERS } from './adjusters'
import { BRANTWICK_TALLIS60_MATRIX } from './matrix'
import { BRANTWICK_TALLIS60_PROCEDURE } from './procedure'
import { RECOMMENDED } from './targets'

const RATED = 'service sheet (invented set)'

export const BRANTWICK_TALLIS60: ModelSheet = {
  id: 'brantwick-tallis60',
  kind: 'high-power',
  model: 'Brantwick Tallis 60',
  description: 'high-power AM/SSB mobile, 14.0 V at up to 50 A; 80 W carrier, 640 W PEP',
  revision: 1,
  revisedOn: '2026-11-25',
  planId: 'forty',
  main: { mode: 'AM', fromChannel: 1, toChannel: 40, setting: RECOMMENDED },
  defaultRuleSetId: 'R-AM',
  nominalSupplyV: 14,
  load: '50 \u03a9 dummy load, 1 kW',
  idleA: { low: 0.6, high: 1.5 },
  keyedA: { low: 10, high: 25 },
  cautions: [
    'First power with the current limit at 2 A. Check fuse and polarity first.',
    'Dummy load and elements rated for the peaks: 4 W elements burn.',
    'On CB channels this power is forbidden: choose the ' +
      'local rule set. The handover report states the result.',
    'White ceramic of RF power devices: do not break, file or sand.',
  ],
  specification: [
    {
      what: 'Supply',
      value: '14.0 V at the set while speaking, up to 50 A; lead drop under 0.3 V',
      source: RATED,
    },
    { what: 'Output', value: '80 W carrier at the mark, 640 W PEP', source: RATED },
    { what: 'Carrier', value: 'about PEP/8; never above PEP/4 (160 W)', source: 'common practice' },
    { what: 'Efficiency', value: 'average RF to DC 0.35 to 0.5', source: 'common practice' },
    {
      what: 'Fan',
      value: 'starts by its temperature switch; not starting in a short test is normal',
      source: 'common practice',
    },
  ],
  adjusters: BRANTWICK_TALLIS60_ADJUSTERS,
  matrix: BRANTWICK_TALLIS60_MATRIX,
  procedure: BRANTWICK_TALLIS60_PROCEDURE,
  owed: [
    {
      id: 'A5.8',
      title: 'Ten minutes of duty; fan; photo of the control position',
      why: 'the owner is told the limit in words',
    },
  ],
}
