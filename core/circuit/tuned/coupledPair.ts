import { CoreError } from '../../errors'
import { memoryless } from '../part'

/** Two resonant circuits with mutual coupling. */
export interface CoupledPair {
  readonly primaryQ: number
  readonly secondaryQ: number
  /** coupling factor, 0..1 */
  readonly k: number
}

export interface PairInput {
  readonly primaryHz: number
  readonly secondaryHz: number
  readonly frequencyHz: number
}

/**
 * Power transfer of a coupled pair relative to its best, critically coupled and both tuned [ratio, 0..1].
 *
 * Under critical coupling one hump, lower; over it two, and peaking one core pulls the other.
 * @throws {CoreError} out-of-range
 * Source: transfer = 2 n / |(1 + j x1)(1 + j x2) + n^2|, n = k sqrt(Q1 Q2), x = 2 Q df/f (standard textbook
 * formula, from memory). Limits: near resonance.
 * @example n = 2, both tuned, at the middle: 2 n / (1 + n^2) = 0.8 of the voltage, 0.64 of the power
 */
export const coupledPair = memoryless(
  'coupled pair',
  ({ primaryQ, secondaryQ, k }: CoupledPair, { primaryHz, secondaryHz, frequencyHz }: PairInput) => {
    if (!(primaryQ > 0 && secondaryQ > 0 && k > 0 && k < 1 && frequencyHz > 0))
      throw new CoreError('out-of-range', `Q ${primaryQ}, ${secondaryQ}, k ${k}`)
    const n = k * Math.sqrt(primaryQ * secondaryQ)
    const x1 = (2 * primaryQ * (frequencyHz - primaryHz)) / frequencyHz
    const x2 = (2 * secondaryQ * (frequencyHz - secondaryHz)) / frequencyHz
    return (4 * n * n) / ((1 - x1 * x2 + n * n) ** 2 + (x1 + x2) ** 2)
  },
)
