import type { Adjuster } from '../modelSheet'
import { control, core, preset } from '../stepBase'

export const BRANTWICK_TALLIS60_ADJUSTERS: readonly Adjuster[] = [
  control(
    'RF POWER',
    'power-control',
    'RF power control',
    'carrier and PEP together',
    'Never fully up on AM.',
  ),
  preset('VR7', 'modulation-preset', 'modulation limiter', 'depth at which the limiter holds', [
    'audio board',
    0.25,
    0.8,
  ]),
  preset('VR8', 'alc', 'ALC', 'SSB power', ['audio board, right', 0.45, 0.8]),
  core('L30', 'coil', 'driver coil', 'power of every channel', ['driver row', 0.4, 0.4]),
  core('L31', 'coil', 'output coil', 'power of every channel', ['at the heat sink', 0.7, 0.4]),
  preset('VR1', 's-meter-preset', 'S-meter preset', 'S-meter', ['beside the meter', 0.75, 0.8]),
]
