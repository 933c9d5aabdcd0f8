import type { MeasurePoint, SetState, TargetSpec, Want } from '../modelSheet'
import type { Quantity } from '../../quantity'

/** Test tone of the procedure [Hz]. */
export const TONE_HZ = 1000

/** A keyed state on dummy load; the rest as given. */
export function keyed(channel: number, rest: Partial<SetState> = {}): SetState {
  return { channel, keyed: true, lowPower: false, toneHz: null, also: null, ...rest }
}

export function receiving(channel: number | null, also: string | null = null): SetState {
  return { channel, keyed: false, lowPower: false, toneHz: null, also }
}

export function want(quantity: Quantity, target: TargetSpec | null = null, judgeLimit = true): Want {
  return { quantity, target, judgeLimit }
}

export function point(id: string, title: string, state: SetState, wants: readonly Want[]): MeasurePoint {
  return { id, title, state, wants }
}

export const HIGH_POWER: TargetSpec = { kind: 'window', window: { low: 3.6, high: 4, aim: 3.8 } }
/** 10 dB below 4 W, -1 dB / +0 dB. */
export const LOW_POWER: TargetSpec = { kind: 'window', window: { low: 0.4 * 10 ** -0.1, high: 0.4, aim: 0.37 } }
export const DEVIATION: TargetSpec = { kind: 'window', window: { low: 2300, high: 2500, aim: 2380 } }
/** As found a set is judged by the workshop's +/-50 Hz; the alignment aims at 0 to +20 Hz. */
export const FREQUENCY_AS_FOUND: TargetSpec = { kind: 'channel-error', lowHz: -50, highHz: 50, aimHz: 10 }
/** 0.5 uV: the upper end of the usual 0.25 to 0.5 uV for 12 dB SINAD (from memory). */
export const SENSITIVITY: TargetSpec = { kind: 'window', window: { low: null, high: 0.5e-6, aim: null } }
