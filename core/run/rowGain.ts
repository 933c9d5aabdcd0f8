import { powerRatioToDb, relativeBound } from '../quantity'
import { isUnmodulated, type MeasurePoint } from '../sheet'
import type { RowState } from './matrixState'
import { figureIn } from './rowFigure'

/** Output over drive of one row, both carriers. */
export interface RowGain {
  readonly point: MeasurePoint
  /** [dB] */
  readonly db: number
  /** by both meters [dB]; null = the accuracy of one of them is not known */
  readonly boundDb: number | null
}

/**
 * The gain of an amplifier, row by row, where drive and output were read in the same key-down.
 * Limits: on a bare carrier; a needle at its stop gives none.
 */
export function rowGains(rows: readonly RowState[]): RowGain[] {
  return rows.flatMap(row => {
    const { point, stale } = row
    const [drive, output] = [figureIn(row, 'drivePowerW'), figureIn(row, 'powerW')]
    if (stale || !point.state.keyed || !isUnmodulated(point.state) || !drive || !output) return []
    const share = relativeBound([drive, drive.value], [output, output.value])
    return [
      {
        point,
        db: powerRatioToDb(output.value / drive.value),
        boundDb: share === null ? null : powerRatioToDb(1 + share),
      },
    ]
  })
}
