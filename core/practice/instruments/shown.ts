import { decay, hashOf } from '../../circuit'
import type { Accuracy } from '../../quantity'
import type { SimulatedReading } from './simulatedInstrument'

/** Instruments of the better half: the fixed error is at most this share of the class. */
const OF_CLASS = 0.8

/** What the needle or display remembers: it does not jump. */
export interface NeedleMemory {
  readonly value: number
  readonly atS: number
}

export type ShownValue =
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'no-signal' }
  | { readonly kind: 'overload' }

/**
 * Share of its class by which one instrument errs, the same for ever: -1..1.
 * @param seed of the bench
 * @param stream instrument and channel
 */
export function hiddenShare(seed: number, stream: number): number {
  return OF_CLASS * hashOf(seed, 900 + stream, 0)
}

/**
 * A value as an instrument of that class shows it, with its fixed error. Of nothing it shows nothing: it was
 * zeroed.
 */
export function withError(
  value: number,
  { ofReading = 0, ofFullScale = 0, fullScale = 0, absolute = 0 }: Accuracy,
  share: number,
): number {
  if (value === 0) return 0
  return value * (1 + ofReading * share) + ofFullScale * fullScale * share + absolute * share
}

/**
 * What an instrument shows of a true value at a time.
 *
 * @param trueValue null = nothing to measure
 * @param share its fixed error, -1..1 of its class
 * @param memory what it showed before; it goes towards the new value with its settling time
 */
export function shownOf(
  reading: SimulatedReading,
  trueValue: number | null,
  share: number,
  memory: NeedleMemory | null,
  nowS: number,
): { readonly shown: ShownValue; readonly memory: NeedleMemory | null } {
  if (trueValue === null || !Number.isFinite(trueValue)) return { shown: { kind: 'no-signal' }, memory: null }
  if (reading.most !== undefined && trueValue > reading.most)
    return { shown: { kind: 'overload' }, memory: null }
  const target = withError(trueValue, reading.accuracy, share)
  const value =
    memory && reading.settleS > 0
      ? target + (memory.value - target) * decay(nowS - memory.atS, reading.settleS)
      : target
  return {
    shown: { kind: 'value', value: Math.round(value / reading.resolution) * reading.resolution },
    memory: { value, atS: nowS },
  }
}
