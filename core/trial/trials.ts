import { figureOf, type Quantity, type Reading } from '../quantity'
import type { JobEvent, TrialNoted } from '../run'

/** A trial with the bare carrier that it is held against. */
export interface Trial {
  /** counted from 1, as they are shown */
  readonly number: number
  readonly noted: TrialNoted
  /** the last trial without modulation before it, with the same amplifier or none; null = there is none */
  readonly base: Trial | null
  /** the last trial before it with the same signal and base; null = it is the first of its kind */
  readonly before: Trial | null
}

/** What was shown on a job, in its order. */
export function trialsOf(events: readonly JobEvent[]): Trial[] {
  const trials: Trial[] = []
  for (const noted of events) {
    if (noted.kind !== 'trial-noted') continue
    const isAlike = (t: Trial) => t.noted.amplifier?.name === noted.amplifier?.name
    const isBare = noted.signal === 'carrier'
    const base = isBare ? null : trials.findLast(t => t.noted.signal === 'carrier' && isAlike(t))
    const before = trials.findLast(
      t => t.noted.signal === noted.signal && isAlike(t) && (isBare || t.base === base),
    )
    trials.push({ number: trials.length + 1, noted, base: base ?? null, before: before ?? null })
  }
  return trials
}

/** What was read of a quantity; the last of several. */
export const readIn = ({ noted }: Trial, quantity: Quantity): Reading | null =>
  noted.readings.findLast(r => r.quantity === quantity) ?? null

/** The same where arithmetic can be done with it. */
export const figureIn = (trial: Trial | null, quantity: Quantity): Reading | null =>
  figureOf(trial && readIn(trial, quantity))

/** Level of a line [dB]: it may be below zero, but not a bound. */
export function levelIn(trial: Trial | null, quantity: Quantity): Reading | null {
  const reading = trial && readIn(trial, quantity)
  return reading && reading.bound === undefined ? reading : null
}

/**
 * The bare carrier of a trial, by the meter that read the power itself where that one did: its error is then
 * much the same in both.
 * @param by what the carrier is held against
 */
export function carrierOf({ base }: Trial, by: 'pepW' | 'powerW'): Reading | null {
  return figureIn(base, by) ?? figureIn(base, by === 'pepW' ? 'powerW' : 'pepW')
}

/**
 * Depth that the tone reached by the modulation meter, the larger of both peaks: on a flattened crest it is
 * the trough that tells how far the audio drives (C05).
 */
export function depthIn(trial: Trial): Reading | null {
  const [up, down] = [figureIn(trial, 'depthPositiveRatio'), figureIn(trial, 'depthNegativeRatio')]
  if (!up || !down) return up ?? down
  return up.value >= down.value ? up : down
}

/** Whether two readings come from the same meter on the same scale: its own error drops out between them. */
export const isSameMeter = (a: Reading, b: Reading): boolean =>
  a.instrument !== null && a.instrument === b.instrument && a.fullScale === b.fullScale
