import { message } from '../message'
import { CoreError } from '../errors'
import { HEX_BYTE, type MenuFormat } from '../quantity'
import type { Adjuster, MeasurePoint, ModelSheet, SetState, Step } from './modelSheet'

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

/** What the row of a menu entry is called: after the entry alone, or where states differ by its state too. */
export const menuRowIds = (entry: string, { coverage }: Pick<SetState, 'coverage'>): readonly string[] => [
  `menu-${entry}`,
  `menu-${entry}-${coverage}`,
]

/** Whether a row holds the value of a menu entry: it is called after it, or names it in its title. */
export function holdsEntry({ id, title, wants, state }: MeasurePoint, entry: string): boolean {
  if (!wants.some(w => w.quantity === 'menuCode')) return false
  if (id.startsWith('menu-')) return menuRowIds(entry, state).includes(id)
  // "BIAS-CW" is another entry than "BIAS".
  return new RegExp(`(?<![\\w-])${entry.replace(/[^\w-]/g, '')}(?![\\w-])`).test(title)
}

/**
 * The menu entry that is set at a point of a step: steps set their entries point by point, and the last one
 * at every point that is left. null = the step sets none, or no value is written down there
 */
export function entryOfPoint(
  { adjusters, procedure }: SheetParts,
  stepId: string,
  pointId: string,
): string | null {
  const step = procedure.find(s => s.id === stepId)
  const entries = (step?.adjusters ?? []).filter(
    d => adjusters.find(a => a.designator === d)?.kind === 'menu-value',
  )
  const at = step?.points.findIndex(p => p.id === pointId) ?? -1
  const holdsValue = at >= 0 && step!.points[at]!.wants.some(w => w.quantity === 'menuCode')
  return holdsValue ? (entries[Math.min(at, entries.length - 1)] ?? null) : null
}
type SheetParts = Pick<ModelSheet, 'adjusters' | 'procedure'>

/** Entries whose value each country state keeps for itself: the sheet has a row of each for them. */
export const entriesByState = ({ adjusters, matrix }: Pick<ModelSheet, 'adjusters' | 'matrix'>): string[] =>
  adjusters
    .filter(({ kind, designator }) => {
      const rows = kind === 'menu-value' ? matrix.filter(p => holdsEntry(p, designator)) : []
      return new Set(rows.map(p => p.state.coverage)).size > 1
    })
    .map(a => a.designator)

/** How the set writes the values of a menu entry: as the row says that holds it as found. */
export function menuFormatOf(sheet: ModelSheet, entry: string): MenuFormat {
  const row = sheet.matrix.find(p => holdsEntry(p, entry))
  return row?.wants.find(w => w.quantity === 'menuCode')?.menu ?? HEX_BYTE
}
