import { statesIn, within } from '../build'

export const cw = statesIn('CW')
export const am = statesIn('AM')
export const usb = statesIn('USB')
export const TUNED = 'tuned: preselector, plate dip, load'
/** 20 m, where everything but the band rows is measured. */
export const TWENTY = 3
export const BANDS = [1, 2, 3, 4, 5] as const

/** 60 mA for the pair, three ticks of 20 mA (model sheet). */
export const IDLE = within(0.055, 0.065, 0.06)
/** 100 to 140 W by type (common practice); tuned plate current of this set. */
export const OUTPUT = within(100, 140, 120)
export const PLATE = within(0.2, 0.28, 0.25)
/** AM: carrier 25 to 30 W, peaks about 120 W (common practice). */
export const AM_CARRIER = within(25, 30, 28)
export const AM_PEP = within(90, 130, 120)
export const FREQUENCY = { kind: 'channel-error', lowHz: -100, highHz: 100, aimHz: 0 } as const
export const SENSITIVITY = within(null, 0.5e-6)
export const S9 = within(8, 10, 9)
/** Amateur HF: S9 is 50 uV at the antenna socket (common practice). */
export const S9_V = 50e-6
