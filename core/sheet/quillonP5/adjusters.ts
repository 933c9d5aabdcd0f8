import type { Adjuster } from '../modelSheet'
import { menuValue, preset } from '../stepBase'

export const QUILLON_P5_ADJUSTERS: readonly Adjuster[] = [
  {
    ...menuValue(
      'REF',
      'reference',
      'reference correction',
      'every frequency',
      'menu, coarse 100 Hz, fine 1 Hz',
    ),
    law: 'assumed-clock',
  },
  {
    ...menuValue('IF', 'rx-crystal', 'IF offset', 'where the receiver is loudest', 'menu, in hertz'),
    law: 'offset',
  },
  preset(
    'R36',
    'bias',
    'gate bias',
    'gate voltage of the final',
    ['beside the final, left', 0.7, 0.4],
    'Lowest end first: on this kit fully clockwise. A slip to the neighbouring pin destroys the device.',
  ),
  preset(
    'R41',
    'carrier-preset',
    'power preset',
    'output',
    ['beside the final, right', 0.85, 0.4],
    'Lowest end first: on this kit fully clockwise.',
  ),
]
