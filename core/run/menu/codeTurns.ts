import { entriesByState, entryOfPoint, holdsEntry, type ModelSheet } from '../../sheet'
import type { RowTaken } from '../jobEvent'

/** A menu value that a row was read with. */
export interface CodeRead {
  readonly designator: string
  /**
   * another one than was written down last, in the step that sets it: it was set for this row. One that is
   * only read back says not when it was set.
   */
  readonly isSet: boolean
}

/**
 * Follows the menu values through the rows of a run, in order. Each row that holds one says which entry it is
 * of, and whether that was set for it: a value on record is no guess.
 * @returns for each row; null = it holds no value of an entry
 */
export function codeFollower(sheet: ModelSheet): (row: RowTaken) => CodeRead | null {
  const byState = new Set(entriesByState(sheet))
  const entries = sheet.adjusters.filter(a => a.kind === 'menu-value').map(a => a.designator)
  const known = new Map<string, number>()
  const entryOf = ({ stepId, pointId }: RowTaken): string | null => {
    if (stepId !== null) return entryOfPoint(sheet, stepId, pointId)
    const point = sheet.matrix.find(p => p.id === pointId)
    return entries.find(d => point !== undefined && holdsEntry(point, d)) ?? null
  }
  return row => {
    const code = row.readings.find(r => r.quantity === 'menuCode')?.value
    const designator = code === undefined ? null : entryOf(row)
    if (code === undefined || designator === null) return null
    const key = byState.has(designator) ? `${designator} ${row.conditions.coverage}` : designator
    const before = known.get(key)
    known.set(key, code)
    return { designator, isSet: row.stepId !== null && before !== undefined && before !== code }
  }
}
