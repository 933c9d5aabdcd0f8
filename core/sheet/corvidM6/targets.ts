import { statesIn, within } from '../build'
import type { Coverage } from '../modelSheet'

export const TONE_HZ = 1000
export const DRIVE_V = 0.03
export const am = statesIn('AM')
export const fm = statesIn('FM')
export const CHANNEL = 19

export const COUNTRY_STATES: readonly Coverage[] = ['standard', 'expanded']
export const FREQUENCY = { kind: 'channel-error', lowHz: -50, highHz: 50, aimHz: 0 } as const
/** 3.9 W, so as to stay shown inside 4 W; low power 10 dB down. */
export const HIGH = within(3.6, 4, 3.9)
export const LOW = within(0.4 * 10 ** -0.1, 0.4, 0.38)
/** Menu-set practice: 85-86 % at high, 89-90 % at low power (common practice). */
export const DEPTH_HIGH = within(0.84, 0.87, 0.855)
export const DEPTH_LOW = within(0.88, 0.91, 0.895)
export const DEVIATION = within(1700, 1900, 1900)
export const SENSITIVITY = within(null, 0.5e-6)
export const AUDIBLE = within(null, 1e-6)
export const S9_V = 100e-6
export const S9 = within(8, 10, 9)
