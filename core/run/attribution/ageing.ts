import { message } from '../../message'
import { CoreError } from '../../errors'

/** How far to set a crystal above nominal, so that ageing brings it back through it. */
export interface AgeingOffset {
  readonly offsetHz: number
  /** within this many years it stays inside the window; null = longer than anybody looks ahead */
  readonly insideForYears: number | null
}

/** Further than this nobody plans [years]. */
const HORIZON_YEARS = 20

/**
 * Offset at which the time inside the window is longest without starting outside: against the direction of
 * ageing, at most to the edge that the instrument can still tell.
 *
 * @param driftHzPerYear signed: negative = falling, as crystals mostly do (common practice)
 * @param lowHz highHz window about nominal [Hz]
 * @param boundHz bound of the instrument: so far inside the edge it is set [Hz]
 * @throws {CoreError} out-of-range: the window is narrower than the instrument's bounds
 * @example ageingOffset(-5, 0, 20, 2) // => { offsetHz: 18, insideForYears: 3.6 }
 */
export function ageingOffset(
  driftHzPerYear: number,
  lowHz: number,
  highHz: number,
  boundHz: number,
): AgeingOffset {
  if (highHz - lowHz < 2 * boundHz) throw new CoreError('out-of-range', message('error.toleranceTooNarrow'))
  if (driftHzPerYear === 0) return { offsetHz: (lowHz + highHz) / 2, insideForYears: null }
  const offsetHz = driftHzPerYear < 0 ? highHz - boundHz : lowHz + boundHz
  const roomHz = driftHzPerYear < 0 ? offsetHz - lowHz : highHz - offsetHz
  const years = roomHz / Math.abs(driftHzPerYear)
  return { offsetHz, insideForYears: years > HORIZON_YEARS ? null : years }
}
