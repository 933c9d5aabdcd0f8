import type { Adjuster } from '../modelSheet'
import { core, preset, trimmer } from '../stepBase'

const LOOK_ALIKE = 'The trimmer beside it looks the same: turn a few degrees and back to identify it.'
const COIL = 'power of every channel'

/** Every adjuster of the Osmund B27, in circuit order from the oscillators to the antenna. */
export const OSMUND_B27_ADJUSTERS: readonly Adjuster[] = [
  trimmer('CT1', 'reference', 'reference trimmer', 'transmit, receive, lock: everything', [
    'beside IC3, alone',
    0.3,
    0.2,
  ]),
  {
    ...trimmer('CT2', 'tx-crystal', 'transmit trimmer', 'transmit frequency only', [
      'left of the two trimmers',
      0.54,
      0.2,
    ]),
    caution: LOOK_ALIKE,
  },
  {
    ...trimmer('CT3', 'rx-crystal', 'receive trimmer', 'receive frequency only', [
      'right of the two trimmers',
      0.7,
      0.2,
    ]),
    caution: LOOK_ALIKE,
  },
  core('L11', 'coil', 'first power coil', COIL, ['row of four, first', 0.36, 0.56]),
  core('L12', 'coil', 'second power coil', COIL, ['row of four, second', 0.52, 0.56]),
  core('L13', 'coil', 'third power coil', COIL, ['row of four, third', 0.68, 0.56]),
  core('L14', 'coil', 'fourth power coil', COIL, ['row of four, at the antenna socket', 0.84, 0.56]),
  preset('RV6', 'panel-preset', 'meter preset', 'panel RF meter only', ['behind the panel meter', 0.2, 0.88]),
  preset('RV8', 'deviation-preset', 'deviation preset', 'deviation', [
    'beside the microphone amplifier',
    0.6,
    0.88,
  ]),
]
