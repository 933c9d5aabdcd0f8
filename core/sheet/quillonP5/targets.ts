import { statesIn, within } from '../build'

export const cw = statesIn('CW')
export const TWENTY = 1
/** Workshop: 10 Hz on CW; the 10 MHz reference by zero beat to a hertz. */
export const FREQUENCY = { kind: 'channel-error', lowHz: -20, highHz: 20, aimHz: 0 } as const
export const REFERENCE = {
  kind: 'nominal-error',
  nominalHz: 10_000_000,
  lowHz: -5,
  highHz: 5,
  aimHz: 0,
} as const
export const OUTPUT = within(4.5, 5, 4.9)
/** 2.4 V on the gate of this kit\u2019s IRF510; 5 V is far too high (model sheet). */
export const GATE = within(2.3, 2.5, 2.4)
export const SENSITIVITY = within(null, 0.3e-6)
export const LEVEL_V = 7.07e-6
