import { within } from '../build'
import type { ModelSheet } from '../modelSheet'
import { preset } from '../stepBase'
import { LARKFIELD_LX8 } from '../larkfieldLx8/sheet'
import { LARKFIELD_LX8M_PROCEDURE } from './procedure'
import { GATE_IDLE } from './targets'

const RATED = 'service sheet (invented set)'
const OLD_BIAS = ['VR10', 'VR11']

/**
 * The LX-8 after its two finals were replaced by a MOSFET: another bias, more crest, everything behind it to
 * be set again (A12).
 */
export const LARKFIELD_LX8M: ModelSheet = {
  ...LARKFIELD_LX8,
  id: 'larkfield-lx8m',
  model: 'Larkfield LX-8, MOSFET final',
  description:
    'LX-8 whose two finals were replaced by one switching MOSFET: gate bias of its own, more PEP from the same drive',
  defaultRuleSetId: 'R-SHOP',
  cautions: [
    ...LARKFIELD_LX8.cautions,
    'Converted: the type approval has ended where one is required; local regulation decides.',
    'The tab of the device is its drain: fit insulator ' +
      'and paste, then measure tab to chassis before power.',
  ],
  specification: [
    ...LARKFIELD_LX8.specification.filter(s => s.what !== 'Idle current'),
    {
      what: 'Idle current',
      value: '100 mA, from zero upward; never to a voltage copied from another set',
      source: RATED,
    },
    {
      what: 'Gate threshold',
      value: 'differs by a volt and more from device to device',
      source: 'common practice',
    },
    { what: 'Polarity diode and fuse', value: 'larger than before', source: 'common practice' },
  ],
  adjusters: [
    ...LARKFIELD_LX8.adjusters.filter(a => !OLD_BIAS.includes(a.designator)),
    preset(
      'RVG',
      'bias',
      'gate bias',
      'idle current of the MOSFET',
      ['on the bias rail, 8 V on transmit', 0.84, 0.48],
      'From zero upward. Meter clipped on; a slip on the gate kills the device.',
    ),
  ],
  matrix: LARKFIELD_LX8.matrix.map(p =>
    p.id !== 'bias'
      ? p
      : {
          ...p,
          title: 'Idle current of the final, USB, no drive',
          wants: [
            { quantity: 'stageIdleA', target: GATE_IDLE, judgeLimit: true },
            { quantity: 'gateV', target: within(2, 5), judgeLimit: true },
          ],
        },
  ),
  procedure: LARKFIELD_LX8M_PROCEDURE,
  owed: [
    ...LARKFIELD_LX8.owed,
    {
      id: 'A12.3',
      title: 'Clamp part gate to source fitted, in thermal contact',
      why: 'without it: low output and poor SSB',
    },
    { id: 'A12.4', title: 'Tab to chassis measured open', why: 'the tab is the drain' },
  ],
}
