import type { Recording } from '../../core/recording'
import type { MeasureOptions, Measurement, SignalFinding } from '../../core/signal'

/** One value that a recording must be measured to. */
export interface Truth {
  readonly figure: string
  readonly of: (m: Measurement) => number | null | undefined
  readonly uncertaintyOf?: (m: Measurement) => number | null | undefined
  readonly value: number
  /** what the truth itself is known to: sampling of its generation, and nothing else */
  readonly tolerance: number
  /** a stated standard uncertainty above this hides a figure that the recording holds */
  readonly maxUncertainty: number
}

/** A recording that was made, what is true of it, and what must and must not be said of it. */
export interface Case {
  readonly name: string
  readonly make: () => Recording
  readonly options?: Partial<MeasureOptions>
  readonly rules?: string
  readonly carrierW?: number | null
  readonly truths?: readonly Truth[]
  readonly says?: readonly SignalFinding['kind'][]
  readonly neverSays?: readonly SignalFinding['kind'][]
  readonly notes?: readonly string[]
  readonly check?: (m: Measurement) => void
}

type Figure<T> = (m: Measurement) => T

export const near = (
  figure: string,
  of: Figure<number | null | undefined>,
  value: number,
  tolerance: number,
  maxUncertainty: number,
  uncertaintyOf?: Figure<number | null | undefined>,
): Truth => ({ figure, of, value, tolerance, maxUncertainty, ...(uncertaintyOf ? { uncertaintyOf } : {}) })

/** The larger value that a share of the samples stays below: a quantile of what was made. */
export function quantile(x: Float64Array, share: number): number {
  const sorted = Float64Array.from(x).sort()
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
}
export const largest = (x: Float64Array) => x.reduce((a, b) => Math.max(a, b), -Infinity)
export const smallest = (x: Float64Array) => x.reduce((a, b) => Math.min(a, b), Infinity)
export const mean = (x: Float64Array) => x.reduce((a, b) => a + b, 0) / x.length
