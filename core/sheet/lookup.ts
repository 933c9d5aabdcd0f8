import { message } from '../message'
import { CoreError } from '../errors'
import { HEX_BYTE, type MenuFormat } from '../quantity'
import type { Adjuster, MeasurePoint, ModelSheet, Step } from './modelSheet'

/** @throws {CoreError} unknown-step */
export function stepOf(sheet: ModelSheet, stepId: string): Step {
  const step = sheet.procedure.find(s => s.id === stepId)
  if (!step) throw new CoreError('unknown-step', message('error.noStep', { model: sheet.model, stepId }))
  return step
}

/** @throws {CoreError} unknown-adjuster */
export function adjusterOf(sheet: ModelSheet, designator: string): Adjuster {
  const adjuster = sheet.adjusters.find(a => a.designator === designator)
  if (!adjuster)
    throw new CoreError('unknown-adjuster', message('error.noAdjuster', { model: sheet.model, designator }))
  return adjuster
}

/**
 * A point of the matrix (stepId null) or of a step.
 * @throws {CoreError} unknown-step, unknown-point
 */
export function pointOf(sheet: ModelSheet, stepId: string | null, pointId: string): MeasurePoint {
  const points = stepId === null ? sheet.matrix : stepOf(sheet, stepId).points
  const point = points.find(p => p.id === pointId)
  if (!point)
    throw new CoreError(
      'unknown-point',
      stepId === null
        ? message('error.noRow', { pointId, model: sheet.model })
        : message('error.noRowInStep', { pointId, stepId, model: sheet.model }),
    )
  return point
}

/** How the set writes the values of a menu entry: as the row says that holds it as found. */
export function menuFormatOf(sheet: ModelSheet, entry: string): MenuFormat {
  const row = sheet.matrix.find(p => p.id === `menu-${entry}`)
  return row?.wants.find(w => w.quantity === 'menuCode')?.menu ?? HEX_BYTE
}
