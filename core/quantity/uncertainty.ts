import { CoreError } from '../errors'
import type { Measured } from './reading'

/**
 * What an instrument promises, as its maker writes it. The parts add as bounds.
 * Worked example: 5 % of full scale on 20 W = { ofFullScale: 0.05, fullScale: 20 } = 1 W everywhere.
 */
export interface Accuracy {
  /** of the reading [ratio] */
  readonly ofReading?: number
  /** of full scale [ratio]; needs fullScale */
  readonly ofFullScale?: number
  /** full scale of the range in use [SI unit of the quantity] */
  readonly fullScale?: number
  /** constant part: resolution, half a tick, the eye [SI unit] */
  readonly absolute?: number
}

/**
 * Bound of the error of one reading: the class itself, which is what verdicts use as U.
 *
 * @param value reading [SI]
 * @returns U >= 0 [SI]
 * @throws {CoreError} out-of-range (negative parts, full-scale class without a full scale), not-a-number
 * Source: accuracy class as a bound on the error, common practice; expanding u by k never exceeds it
 * (95 % of a rectangular distribution is 0.95 of its half width).
 */
export function errorBound(value: number, accuracy: Accuracy): number {
  const { ofReading = 0, ofFullScale = 0, fullScale, absolute = 0 } = accuracy
  if (!Number.isFinite(value)) throw new CoreError('not-a-number', `${value}`)
  if (!(ofReading >= 0 && ofFullScale >= 0 && absolute >= 0))
    throw new CoreError('out-of-range', `${ofReading}, ${ofFullScale}, ${absolute} < 0`)
  if (ofFullScale > 0 && !(fullScale !== undefined && fullScale > 0)) {
    throw new CoreError('out-of-range', `${ofFullScale} × ${fullScale}`)
  }
  return Math.abs(value) * ofReading + ofFullScale * (fullScale ?? 0) + absolute
}

/**
 * Half width of a rectangular distribution to its standard deviation. Source: JCGM 100 (GUM) 4.3.7 (from
 * memory): u = a / sqrt 3.
 */
export function boundToStandard(bound: number): number {
  return bound / Math.sqrt(3)
}

/** Expanded over standard uncertainty of noise: 95 % of a normal distribution (GUM 6.3.3, from memory). */
const COVERAGE_OF_NOISE = 2

/**
 * Expanded uncertainty U, the bound that verdicts use and screens show: by how the errors lie, two times the
 * standard uncertainty of noise, the half width of an accuracy class.
 * @returns null = nobody knows how good the value is
 */
export function expandedUncertainty({
  standardUncertainty,
  spread,
}: Pick<Measured, 'standardUncertainty' | 'spread'>): number | null {
  if (standardUncertainty === null) return null
  return spread === 'normal' ? COVERAGE_OF_NOISE * standardUncertainty : standardToBound(standardUncertainty)
}

/** Inverse of {@link boundToStandard}: half the width of a rectangular distribution. */
export function standardToBound(standardUncertainty: number): number {
  return standardUncertainty * Math.sqrt(3)
}

/**
 * Independent standard uncertainties add in squares. Source: JCGM 100 (GUM) 5.1.2 (from memory).
 * Limits: not for instruments that share generator, cable, sampler or load.
 */
export function combineStandard(parts: readonly number[]): number {
  return Math.hypot(...parts)
}

/**
 * What a product or a quotient of readings may be off by, as a share of it: the shares of independent
 * readings add in squares.
 * @param parts each reading with the value that its bound is a share of [SI], > 0
 * @returns [ratio]; null = nobody knows how good one of them is
 */
export function relativeBound(
  ...parts: readonly (readonly [reading: Measured, of: number])[]
): number | null {
  const shares = parts.map(([reading, of]) => {
    const expanded = expandedUncertainty(reading)
    return expanded === null ? null : expanded / of
  })
  return shares.includes(null) ? null : Math.hypot(...(shares as number[]))
}
