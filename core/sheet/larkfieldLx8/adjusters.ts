import type { Adjuster } from '../modelSheet'
import { core, preset, trimmer } from '../stepBase'

const POWER = 'power of every band and mode'

/** Every adjuster of the Larkfield LX-8, in circuit order. */
export const LARKFIELD_LX8_ADJUSTERS: readonly Adjuster[] = [
  trimmer('CT1', 'reference', 'PLL trimmer', 'every mode and band', [
    'beside the 10.240 MHz crystal',
    0.3,
    0.14,
  ]),
  {
    ...core(
      'L14',
      'carrier-oscillator',
      'AM carrier oscillator 10.6950 MHz',
      'AM and FM',
      ['carrier board, left', 0.1, 0.16],
      null,
    ),
    modes: ['AM', 'FM'],
  },
  {
    ...core(
      'L15',
      'carrier-oscillator',
      'USB carrier oscillator 10.6925 MHz',
      'USB',
      ['beside the 10.240 MHz crystal', 0.1, 0.32],
      null,
    ),
    modes: ['USB'],
  },
  {
    ...core(
      'L16',
      'carrier-oscillator',
      'LSB carrier oscillator 10.6975 MHz',
      'LSB',
      ['carrier board, right', 0.1, 0.48],
      null,
    ),
    modes: ['LSB'],
  },
  {
    ...core(
      'L21',
      'mode-offset',
      'USB offset coil',
      'USB against the display',
      ['PLL board, rear left', 0.44, 0.32],
      null,
    ),
    modes: ['USB'],
  },
  {
    ...core(
      'L22',
      'mode-offset',
      'LSB offset coil',
      'LSB against the display',
      ['PLL board, rear right', 0.58, 0.32],
      null,
    ),
    modes: ['LSB'],
  },
  core('L19', 'vco-coil', 'VCO coil', 'control voltage of all channels alike', [
    'shielded can on the PLL board',
    0.5,
    0.14,
  ]),
  core('L40', 'coil', 'drive coil', POWER, ['transmit row, first', 0.3, 0.56]),
  core('L41', 'coil', 'driver coil', POWER, [
    'transmit row, second; turns spread at the factory',
    0.46,
    0.56,
  ]),
  core('L43', 'coil', 'output coil', POWER, ['at the heat sink', 0.64, 0.56]),
  preset(
    'VR9',
    'bias',
    'driver bias',
    'idle current of the driver',
    ['at the driver', 0.72, 0.72],
    'From its lowest end. One device at a time, before any power.',
  ),
  preset(
    'VR10',
    'bias',
    'bias of final 1',
    'idle current of final 1',
    ['at the heat sink, left', 0.84, 0.4],
    'From its lowest end. One device at a time, before any power.',
  ),
  preset(
    'VR11',
    'bias',
    'bias of final 2',
    'idle current of final 2',
    ['at the heat sink, right', 0.84, 0.56],
    'From its lowest end. One device at a time, before any power.',
  ),
  {
    ...preset('VR6', 'balance', 'carrier balance', 'carrier suppression on SSB', [
      'carrier board',
      0.1,
      0.66,
    ]),
    modes: ['USB', 'LSB'],
  },
  {
    ...preset('VR12', 'alc', 'ALC', 'SSB power', ['beside the transmit row', 0.3, 0.78]),
    modes: ['USB', 'LSB'],
  },
  {
    ...preset(
      'VR13',
      'carrier-preset',
      'AM carrier preset',
      'AM and FM carrier, through the series regulator',
      ['left of the regulator', 0.46, 0.78],
    ),
    modes: ['AM', 'FM'],
  },
  {
    ...preset(
      'VR14',
      'modulation-preset',
      'AM limiter (AMC)',
      'depth at which the limiter holds',
      ['microphone board', 0.1, 0.88],
      'First check that the limiter parts are all present: without them it has no effect.',
    ),
    modes: ['AM'],
  },
  {
    ...preset('VR15', 'deviation-preset', 'FM deviation', 'FM deviation', [
      'microphone board, right',
      0.3,
      0.92,
    ]),
    modes: ['FM'],
  },
  preset('VR2', 's-meter-preset', 'S-meter preset', 'S-meter', ['beside the meter', 0.62, 0.88]),
]
