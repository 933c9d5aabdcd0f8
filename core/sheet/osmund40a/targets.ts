import { statesIn, within } from '../build'
import type { TargetSpec } from '../modelSheet'

/**
 * Test tone [Hz] and audio drive for full modulation at the microphone socket [V rms] (common practice: 30
 * mV).
 */
export const TONE_HZ = 1000
export const DRIVE_V = 0.03
/**
 * Receiver levels, pd into 50 ohm [V]: 1 uV is -107 dBm, 10 dB lower 0.316 uV; S9 of CB practice is 100 uV.
 */
export const LEVEL_V = 1e-6
export const LOWER_LEVEL_V = 0.316e-6
export const S9_V = 100e-6

export const { keyed, receiving } = statesIn('AM')

export const CARRIER: TargetSpec = within(3.6, 4, 3.9)
/** 90 % -5 / +5 points of the unmodulated carrier, never 100 % negative (common practice). */
export const DEPTH: TargetSpec = within(0.85, 0.95, 0.9)
export const FREQUENCY: TargetSpec = { kind: 'channel-error', lowHz: -50, highHz: 50, aimHz: 0 }
/** The value of this sheet's channel 1; most sets lie between 1.5 and 5 V (common practice). */
export const VCO: TargetSpec = within(2, 2.4, 2.2)
/** 1 uV is the expected minimum of an audible threshold (common practice). */
export const AUDIBLE: TargetSpec = within(null, 1e-6)
/** What C27 gives at 1 uV, 30 %, noise figure 8 dB, less 1 dB for the audio chain [dB] (computed). */
export const SINAD: TargetSpec = within(10, null)
/**
 * 20 uW of a 4 W carrier is 53.0 dB down (R-EU7, from memory); harmonics at least 60 dB down (R-US11, from
 * memory).
 */
export const ADJACENT: TargetSpec = within(null, -53)
export const HARMONIC: TargetSpec = within(null, -60)
export const S9: TargetSpec = within(8, 10, 9)
