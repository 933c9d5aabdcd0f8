import { memoryless } from '../part'

/** Two halves that cancel the carrier where the preset stands right. */
export interface BalancedModulator {
  /** preset at which the carrier vanishes, 0..1 */
  readonly nullAt: number
  /** carrier left at the null [ratio of full output] */
  readonly floorRatio: number
  /** per unit of preset [ratio] */
  readonly slope: number
}

/**
 * Carrier that leaks [ratio of full output]. Source: imbalance and residue at right angles, so they add in
 * squares.
 */
export const balancedModulator = memoryless(
  'balanced modulator',
  ({ nullAt, floorRatio, slope }: BalancedModulator, { position }: { position: number }) =>
    Math.hypot(floorRatio, slope * (position - nullAt)),
)
