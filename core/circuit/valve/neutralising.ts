import { memoryless } from '../part'

/** Feedback from plate to grid and the capacitor that cancels it. */
export interface Neutralising {
  /** capacitor position at which the feedback is cancelled, 0..1 */
  readonly nullAt: number
  /** gain lost per unit off it [ratio] */
  readonly slope: number
}

/**
 * Gain [ratio, 0.4..1] left of the stage. Off the null, feedback takes gain and pulls the dip away from the
 * peak.
 */
export const neutralising = memoryless(
  'neutralising',
  ({ nullAt, slope }: Neutralising, { position }: { position: number }) =>
    Math.max(0.4, 1 - slope * (position - nullAt) ** 2),
)
