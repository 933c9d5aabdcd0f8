import { CoreError } from '../errors'

/** A resonant stage whose core shifts its tuning. */
export interface TunedStage {
  /** resonance with the core at position 0 [Hz] */
  readonly centreHz: number
  readonly q: number
  /** change of inductance per turn inwards [ratio] */
  readonly inductancePerTurn: number
}

/**
 * Power response of a second-order stage relative to its peak.
 *
 * @param q loaded Q, > 0
 * @param tunedHz resonance [Hz], > 0
 * @param frequencyHz [Hz], > 0
 * @returns ratio, 0..1
 * @throws {CoreError} out-of-range
 * Source: 1 / (1 + x^2), x = 2 Q df / f (standard textbook formula, from memory). Limits: near resonance, |df| << f.
 * @example -10 * log10(tunedResponse(30, 27.79e6, 27.595e6)) // => 0.71 dB
 */
export function tunedResponse(q: number, tunedHz: number, frequencyHz: number): number {
  if (!(q > 0 && tunedHz > 0 && frequencyHz > 0)) throw new CoreError('out-of-range', `Q ${q}, tuned ${tunedHz} Hz, at ${frequencyHz} Hz`)
  const x = 2 * q * (tunedHz - frequencyHz) / frequencyHz
  return 1 / (1 + x * x)
}

/**
 * Resonance with the core turned in. f ~ 1/sqrt(L).
 * @param turnsIn turns inwards (positive = more inductance = lower)
 */
export function tunedHz(stage: TunedStage, turnsIn: number): number {
  const inductanceRatio = Math.max(0.1, 1 + stage.inductancePerTurn * turnsIn)
  return stage.centreHz / Math.sqrt(inductanceRatio)
}

export function stageResponse(stage: TunedStage, turnsIn: number, frequencyHz: number): number {
  return tunedResponse(stage.q, tunedHz(stage, turnsIn), frequencyHz)
}
