import { message } from '../../message'
import { CoreError } from '../../errors'
import { MODES } from '../../rules'
import { ADJUSTER_ROLES, RAISED_BY, type ModelSheet } from '../modelSheet'
import { checkSheet } from './checkSheet'
import { fieldKind, withField, type FieldValue } from './field'

/** One field corrected: the old value stays in the record. */
export interface FieldChange {
  /** path of the field, as the record has named it from the first version on */
  readonly line: string
  readonly from: FieldValue
  readonly to: FieldValue
}

const PLACE_KEYS = ['x', 'y']

/**
 * The sheet after corrections, in order.
 * @throws {CoreError} unknown-field; bad-sheet: the value has another form, or the sheet would no longer hold
 * together (a step that turns what is not there)
 */
export function amended(sheet: ModelSheet, changes: readonly FieldChange[]): ModelSheet {
  const before = new Set(checkSheet(sheet).map(p => `${p.code} ${p.at}`))
  const after = changes.reduce((s, c) => withField(s, c.line, checkedValue(c)), sheet)
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

function checkedValue({ line: path, to }: FieldChange): FieldValue {
  if (!fits(path, to))
    throw new CoreError(
      'bad-sheet',
      message('error.fieldCannotHold', { field: path, stringify: JSON.stringify(to) }),
    )
  return to
}

function fits(path: string, to: FieldValue): boolean {
  switch (fieldKind(path)) {
    case 'text':
      return typeof to === 'string' && to.trim() !== ''
    case 'optional-text':
      return to === null || typeof to === 'string'
    case 'seconds':
      return to === null || (typeof to === 'number' && to > 0 && to <= 600)
    case 'designators':
      return Array.isArray(to) && to.every(d => typeof d === 'string')
    case 'role':
      return isOneOf(ADJUSTER_ROLES, to)
    case 'raised-by':
      return to === null || isOneOf(RAISED_BY, to)
    case 'modes':
      return to === null || (Array.isArray(to) && to.length > 0 && to.every(m => isOneOf(MODES, m)))
    case 'position':
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

const isOneOf = (known: readonly string[], value: unknown) =>
  typeof value === 'string' && known.includes(value)
