import { CoreError } from '../../errors'
import { memoryless } from '../part'
import { inductanceRatio } from './coreLaw'

/** A resonant stage whose core shifts its tuning. */
export interface TunedStage {
  /** resonance with the core at position 0 [Hz] */
  readonly centreHz: number
  /** loaded Q */
  readonly q: number
  /** change of inductance per turn inwards [ratio] */
  readonly inductancePerTurn: number
}

/** What is left of the inductance when the core is split: half of it does nothing [ratio] (illustrative). */
const BROKEN_INDUCTANCE = 0.9

/**
 * Power response of a second-order stage relative to its peak.
 *
 * @param q loaded Q, > 0
 * @param tunedHz resonance [Hz], > 0
 * @param frequencyHz [Hz], > 0
 * @returns ratio, 0..1
 * @throws {CoreError} out-of-range
 * Source: 1 / (1 + x^2), x = 2 Q df / f (standard textbook formula, from memory). Limits: near resonance,
 * |df| << f.
 * @example -10 * log10(tunedResponse(30, 27.79e6, 27.595e6)) // => 0.71 dB
 */
export function tunedResponse(q: number, tunedHz: number, frequencyHz: number): number {
  if (!(q > 0 && tunedHz > 0 && frequencyHz > 0))
    throw new CoreError('out-of-range', `Q ${q}, ${tunedHz} Hz, ${frequencyHz} Hz`)
  const x = (2 * q * (tunedHz - frequencyHz)) / frequencyHz
  return 1 / (1 + x * x)
}

/**
 * Resonance with the core turned in. f ~ 1/sqrt(L).
 * @param turnsIn turns inwards (positive = more inductance = lower)
 */
export function tunedHz(stage: TunedStage, turnsIn: number, broken = false): number {
  return (
    stage.centreHz / Math.sqrt(broken ? BROKEN_INDUCTANCE : inductanceRatio(stage.inductancePerTurn, turnsIn))
  )
}

export interface TunedInput {
  readonly turns: number
  readonly broken: boolean
  readonly frequencyHz: number
}

/** Power response [ratio, 0..1] of a stage with its core where it stands. */
export const tunedStage = memoryless(
  'tuned stage',
  (stage: TunedStage, { turns, broken, frequencyHz }: TunedInput) =>
    tunedResponse(stage.q, tunedHz(stage, turns, broken), frequencyHz),
)

/**
 * The core position that tunes a stage to a frequency.
 * @returns turns inwards, Infinity with its sign when the thread ends before
 */
export function turnsFor(stage: TunedStage, wantedHz: number): number {
  const wanted = ((stage.centreHz / wantedHz) ** 2 - 1) / (2 * stage.inductancePerTurn)
  return Math.abs(wanted) < Math.tanh(1) ? 2 * Math.atanh(wanted) : Math.sign(wanted) * Infinity
}
