import { expandedUncertainty, relativeBound } from '../quantity'
import { isUnmodulated, type MeasurePoint, type ModelSheet } from '../sheet'
import type { RowState } from './matrixState'
import { figureIn } from './rowFigure'

/**
 * Output above this share of the plate input is a wrong reading: class C reaches 75 to 80 % (from memory).
 */
export const MAX_PLATE_RATIO = 0.85

/** What a valve stage takes from its plate supply while a row is read, by the plate voltage of the sheet. */
export interface PlateInput {
  readonly point: MeasurePoint
  readonly inputW: number
  /** of the current alone [W]; null = the accuracy of its meter is not known */
  readonly inputBoundW: number | null
  readonly outputW: number
  readonly outputRatio: number
  /** by both meters; null = the accuracy of one of them is not known */
  readonly ratioBound: number | null
}

/**
 * Of every keyed row of one phase with a plate current and a power, without modulation: on speech or a tone
 * the two are read at different moments. A share that cannot be true is left out: a reading is wrong.
 */
export function plateInputs({ plateV }: Pick<ModelSheet, 'plateV'>, rows: readonly RowState[]): PlateInput[] {
  if (plateV === undefined) return []
  return rows.flatMap(row => {
    const { point, stale } = row
    const [current, output] = [figureIn(row, 'plateA'), figureIn(row, 'powerW')]
    if (stale || !point.state.keyed || !isUnmodulated(point.state) || !current || !output) return []
    const inputW = plateV * current.value
    const outputRatio = output.value / inputW
    if (outputRatio > MAX_PLATE_RATIO) return []
    const ofCurrent = expandedUncertainty(current)
    const share = relativeBound([current, current.value], [output, output.value])
    const ratioBound = share === null ? null : outputRatio * share
    const inputBoundW = ofCurrent === null ? null : plateV * ofCurrent
    return [{ point, inputW, inputBoundW, outputW: output.value, outputRatio, ratioBound }]
  })
}
