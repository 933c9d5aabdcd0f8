import type { Adjuster } from '../modelSheet'
import { preset, trimmer } from '../stepBase'

const FROM_ZERO = 'From its lowest end. One device at a time, before any drive.'

export const BRANTWICK_DUO_ADJUSTERS: readonly Adjuster[] = [
  preset(
    'RV1',
    'bias',
    'bias of device 1',
    'idle current of device 1',
    ['beside device 1', 0.3, 0.5],
    FROM_ZERO,
  ),
  preset(
    'RV2',
    'bias',
    'bias of device 2',
    'idle current of device 2',
    ['beside device 2', 0.7, 0.5],
    FROM_ZERO,
  ),
  trimmer('CT1', 'coil', 'input trimmer', 'match of the input, and with it the gain', [
    'at the input transformer',
    0.5,
    0.8,
  ]),
]
