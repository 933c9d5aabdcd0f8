import { statesIn, within } from '../build'

export const cw = statesIn('CW')
export const usb = statesIn('USB')
export const BANDS = [1, 2, 3, 4, 5] as const
export const TWENTY = 3
export const POWER_NUMBERS = ['P80', 'P40', 'P20', 'P15', 'P10'] as const
export const NO_DRIVE = 'no drive'

export const FREQUENCY = { kind: 'channel-error', lowHz: -20, highHz: 20, aimHz: 0 } as const
export const REFERENCE = {
  kind: 'nominal-error',
  nominalHz: 10_000_000,
  lowHz: -5,
  highHz: 5,
  aimHz: 0,
} as const
/** 5 W in each band (common practice for this kind of set). */
export const OUTPUT = within(4.5, 5.2, 5)
/**
 * Current at bias nought, about 350 mA, and 500 mA above it: the step is what counts (common practice for one
 * set of this kind).
 */
export const BIASED = within(0.82, 0.88, 0.85)
/** Rise of the supply current over that at bias nought (A9.3). */
export const RISE = {
  kind: 'above-reading',
  stepId: 'A9.3',
  pointId: 'zero',
  quantity: 'supplyA',
  low: 0.47,
  high: 0.53,
  aim: 0.5,
} as const
/** The same on CW: each mode keeps its own number, and its own start (A9.4). */
export const RISE_CW = { ...RISE, stepId: 'A9.4' } as const
export const SENSITIVITY = within(null, 0.3e-6)
export const S9_V = 50e-6
export const S9 = within(8, 10, 9)
/** Third-order products at least 25 dB below one tone (common practice). */
export const IMD3 = within(25, null)
export const TWO_TONES = 'two tones 700 and 1900 Hz, 30 mV peak'
