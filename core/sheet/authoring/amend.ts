import { message } from '../../message'
import { CoreError } from '../../errors'
import type { ModelSheet } from '../modelSheet'
import { checkSheet } from './checkSheet'
import { lineKind, withLine, type LineValue } from './line'

/** One line corrected: the old value stays in the record. */
export interface LineChange {
  readonly line: string
  readonly from: LineValue
  readonly to: LineValue
}

const PLACE_KEYS = ['x', 'y']

/**
 * The sheet after corrections, in order.
 * @throws {CoreError} unknown-line; bad-sheet: the value has another form, or the sheet would no longer hold
 * together (a step that turns what is not there)
 */
export function amended(sheet: ModelSheet, changes: readonly LineChange[]): ModelSheet {
  const before = new Set(checkSheet(sheet).map(p => `${p.code} ${p.at}`))
  const after = changes.reduce((s, c) => withLine(s, c.line, checkedValue(c)), sheet)
  const broken = checkSheet(after).find(p => !before.has(`${p.code} ${p.at}`))
  if (broken)
    throw new CoreError(
      'bad-sheet',
      message('error.correctionDoesNotFit', {
        code: broken.code,
        at: broken.at.name ?? broken.at.kind,
        what: broken.names.length > 0 ? ` (${broken.names.join(', ')})` : '',
      }),
    )
  return after
}

function checkedValue({ line, to }: LineChange): LineValue {
  if (!fits(line, to))
    throw new CoreError('bad-sheet', message('error.lineCannotHold', { line, stringify: JSON.stringify(to) }))
  return to
}

function fits(line: string, to: LineValue): boolean {
  switch (lineKind(line)) {
    case 'text':
      return typeof to === 'string' && to.trim() !== ''
    case 'optional-text':
      return to === null || typeof to === 'string'
    case 'seconds':
      return to === null || (typeof to === 'number' && to > 0 && to <= 600)
    case 'designators':
      return Array.isArray(to) && to.every(d => typeof d === 'string')
    case 'place':
      return (
        typeof to === 'object' &&
        to !== null &&
        !Array.isArray(to) &&
        PLACE_KEYS.every(k => {
          const v = (to as unknown as Record<string, unknown>)[k]
          return typeof v === 'number' && v >= 0 && v <= 1
        })
      )
  }
}
