import type { Quantity, Reading } from '../quantity'
import type { EventBase } from './eventBase'

/** What modulates the carrier while a trial is read. */
export const TRIAL_SIGNALS = ['carrier', 'tone', 'voice'] as const
export type TrialSignal = (typeof TRIAL_SIGNALS)[number]

/** What stands between set and load in a trial. */
export interface TrialAmplifier {
  readonly name: string
  /** output devices; null = nobody said */
  readonly devices: number | null
  /** PEP that somebody claims for each of them [W]; null = nobody does */
  readonly claimedW: number | null
}

/**
 * One state of the set, shown on purpose: what was set, what it was modulated with, and what the meters
 * showed. It belongs to no row of the sheet, and nothing is judged by it.
 */
export interface TrialNoted extends EventBase {
  readonly kind: 'trial-noted'
  /** what was set, in words: "microphone gain up" */
  readonly text: string
  readonly signal: TrialSignal
  /** absent = the set feeds the load */
  readonly amplifier?: TrialAmplifier
  readonly readings: readonly Reading[]
}

/** Something taken out or changed for a demonstration: it is put back before the set leaves. */
export interface SetAltered extends EventBase {
  readonly kind: 'set-altered'
  readonly text: string
}

const AT_SUPPLY: readonly Quantity[] = ['supplyV', 'supplyA']
const MODULATED: readonly Quantity[] = [
  'depthPositiveRatio',
  'depthNegativeRatio',
  'pepW',
  'powerW',
  'envelopePeakRatio',
  'carrierLineDb',
  'adjacentDbc',
  ...AT_SUPPLY,
]

/** What may be read in a trial, in the order of its fields; none of it has to be. */
export const TRIAL_QUANTITIES: Readonly<Record<TrialSignal, readonly Quantity[]>> = {
  carrier: ['powerW', 'pepW', 'drivePowerW', ...AT_SUPPLY],
  tone: MODULATED,
  voice: MODULATED,
}
/** All of them, each once. */
export const TRIAL_ORDER: readonly Quantity[] = [...new Set(Object.values(TRIAL_QUANTITIES).flat())]
