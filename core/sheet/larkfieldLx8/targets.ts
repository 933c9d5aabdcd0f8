import { bandChannel } from '../../rules'
import { statesIn, within } from '../build'
import type { TargetSpec } from '../modelSheet'

export const TONE_HZ = 1000
export const AM_DRIVE_V = 0.03
export const TWO_TONES = 'two tones 700 and 1900 Hz, 30 mV peak'
export const MIDDLE = bandChannel('D', 19)

export const am = statesIn('AM')
export const fm = statesIn('FM')
export const ssb = { USB: statesIn('USB'), LSB: statesIn('LSB') }

/** A quarter of the 20 W PEP that this set reaches, and not above the rule set (common practice). */
export const CARRIER: TargetSpec = within(3.6, 4, 3.9)
export const AM_FREQUENCY: TargetSpec = { kind: 'channel-error', lowHz: -20, highHz: 20, aimHz: 0 }
/**
 * A 1 kHz tone on USB stands 1 kHz above the channel, on LSB below: the counter reads the tone\u2019s place.
 */
export const SIDEBAND: Record<'USB' | 'LSB', TargetSpec> = {
  USB: { kind: 'channel-error', offsetHz: TONE_HZ, lowHz: -20, highHz: 20, aimHz: 0 },
  LSB: { kind: 'channel-error', offsetHz: -TONE_HZ, lowHz: -20, highHz: 20, aimHz: 0 },
}
export const DEPTH = within(0.85, 0.95, 0.9)
export const DEVIATION = within(1700, 1900, 1900)
export const PEP = within(10, 12, 12)
/** At least 25 dB below one tone, 40 dB below PEP for the carrier (common practice). */
export const IMD3 = within(25, null)
export const CARRIER_LEAK = within(40, null)
export const ADJACENT = within(null, -53)
export const HARMONIC = within(null, -60)
export const BIAS = within(0.045, 0.055, 0.05)
export const AUDIBLE = within(null, 1e-6)
export const SSB_SENSITIVITY = within(null, 0.3e-6)
export const S9_V = 100e-6
export const S9 = within(8, 10, 9)
export const VCO = within(1, 7)
