import type { Adjuster } from '../modelSheet'
import { control, preset, trimmer } from '../stepBase'

const HOT = 'Off resonance all input becomes heat: the first steps are the critical ones.'

/** Controls that are tuned at every change of band, then what is set once inside. */
export const QUILLON_HB150_ADJUSTERS: readonly Adjuster[] = [
  control('PRESELECTOR', 'preselector', 'preselector', 'receive sensitivity and drive'),
  control('PLATE', 'tank', 'plate capacitor', 'resonance of the tank', HOT),
  control(
    'LOAD',
    'tank',
    'load capacitor',
    'loading; a higher number is less capacitance',
    'Every change of load needs a new dip.',
  ),
  control(
    'CARRIER',
    'power-control',
    'carrier level',
    'drive on CW, tune and AM',
    'Never left up when changing to AM.',
  ),
  preset(
    'VR3',
    'bias',
    'bias',
    'idle current of both valves',
    ['under the chassis, beside the bias supply', 0.3, 0.5],
    'High voltage near by: competent persons only; discharge, check for less than 30 V, one hand.',
  ),
  trimmer('TC9', 'neutralising', 'neutralising capacitor', 'feedback through the valves', [
    'in the output cage',
    0.8,
    0.3,
  ]),
  preset('VR5', 'panel-preset', 'output meter preset', 'panel output meter', ['behind the meter', 0.3, 0.85]),
  preset('VR4', 's-meter-preset', 'S-meter preset', 'S-meter', ['IF board', 0.55, 0.85]),
  trimmer('TC1', 'reference', 'marker trimmer', 'the built-in marker only', ['marker board', 0.6, 0.3]),
]
