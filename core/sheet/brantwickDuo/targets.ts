import { statesIn, within } from '../build'

export const cw = statesIn('CW')
export const usb = statesIn('USB')
/** 10 m in the plan of five bands. */
export const TEN = 5
export const LOW_DRIVE = 'drive 1.2 W'
export const FULL_DRIVE = 'drive 2.5 W'

/** 13 dB of gain within half a decibel (invented set). */
export const LOW_OUT = within(21, 27, 24)
export const FULL_OUT = within(44, 56, 50)
export const IDLE = within(0.08, 0.12, 0.1)
/** At least 25 dB below one tone (common practice). */
export const IMD3 = within(25, null)
/** 43 dB below the average power (47 CFR 97.307, from memory); 50 is the aim of this low-pass. */
export const HARMONIC = within(null, -43, -50)
export const INPUT_SWR = within(null, 1.5, 1.2)
export const THROUGH = within(2.3, 2.5, 2.4)
export const SUPPLY = within(13.5, 14.1, 13.8)
