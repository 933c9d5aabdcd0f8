import { CoreError } from '../errors'
import type { ModelSheet } from './modelSheet'
import { OSMUND_27F } from './osmund27f/sheet'
import { OSMUND_40A } from './osmund40a/sheet'

/** Every sheet revision that jobs may refer to; a corrected sheet is added, never changed in place. */
export const SHEETS: readonly ModelSheet[] = [OSMUND_27F, OSMUND_40A]

/**
 * @param revision undefined = the newest
 * @throws {CoreError} unknown-sheet
 */
export function modelSheet(id: string, revision?: number): ModelSheet {
  const found = SHEETS.filter(s => s.id === id && (revision === undefined || s.revision === revision))
    .sort((a, b) => b.revision - a.revision)[0]
  if (!found) throw new CoreError('unknown-sheet', `no model sheet "${id}"${revision === undefined ? '' : ` revision ${revision}`}`)
  return found
}
