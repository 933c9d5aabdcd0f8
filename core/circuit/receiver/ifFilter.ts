import { memoryless } from '../part'

/** The filter at the last intermediate frequency. */
export interface IfFilter {
  readonly centreHz: number
  /** half of its -6 dB width [Hz] */
  readonly halfWidthHz: number
}

/**
 * Loss [dB] of a signal that lands off its middle. Source: 6 dB at the half width, steepness of a
 * four-resonator filter: 6 (d/h)^4; a shape.
 */
export const ifFilter = memoryless(
  'intermediate-frequency filter',
  ({ centreHz, halfWidthHz }: IfFilter, { frequencyHz }: { frequencyHz: number }) =>
    Math.min(80, 6 * (Math.abs(frequencyHz - centreHz) / halfWidthHz) ** 4),
)
