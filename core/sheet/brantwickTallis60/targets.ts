import { statesIn, within } from '../build'

export const am = statesIn('AM')
export const usb = statesIn('USB')
export const CHANNEL = 19
export const TONE_HZ = 1000
export const MINIMUM = 'RF power at minimum'
export const OWNERS = 'RF power as the owner had it'
export const RECOMMENDED = 'RF power at the recommended mark'
export const WIDE_OPEN = 'RF power fully up'

export const FREQUENCY = { kind: 'channel-error', lowHz: -50, highHz: 50, aimHz: 0 } as const
/** Carrier about PEP/8: 80 W of 640 W; never above PEP/4 (common practice). */
export const CARRIER = within(60, 90, 80)
/** Never above PEP/4 = 160 W, whatever the owner likes. */
export const NEVER_ABOVE = within(null, 160)
export const DEPTH = within(0.85, 1, 0.9)
/** Lead drop under 0.3 V of 14.0 V. */
export const SUPPLY = within(13.7, 14.3, 14)
export const AUDIBLE = within(null, 1e-6)
