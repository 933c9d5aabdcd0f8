import { message } from '../message'
import { CoreError } from '../errors'
import type { ModelSheet } from './modelSheet'
import { BRANTWICK_DUO } from './brantwickDuo/sheet'
import { BRANTWICK_TALLIS60 } from './brantwickTallis60/sheet'
import { CORVID_M6 } from './corvidM6/sheet'
import { CORVID_M9 } from './corvidM9/sheet'
import { LARKFIELD_LX8 } from './larkfieldLx8/sheet'
import { LARKFIELD_LX8M } from './larkfieldLx8Mosfet/sheet'
import { OSMUND_27F } from './osmund27f/sheet'
import { OSMUND_40A } from './osmund40a/sheet'
import { OSMUND_B27 } from './osmundB27/sheet'
import { QUILLON_HB150 } from './quillonHb150/sheet'
import { QUILLON_P5 } from './quillonP5/sheet'
import { QUILLON_P7 } from './quillonP7/sheet'

/** Every sheet revision that jobs may refer to; a corrected sheet is added, never changed in place. */
export const SHEETS: readonly ModelSheet[] = [
  OSMUND_27F,
  OSMUND_B27,
  OSMUND_40A,
  LARKFIELD_LX8,
  LARKFIELD_LX8M,
  CORVID_M6,
  CORVID_M9,
  BRANTWICK_TALLIS60,
  BRANTWICK_DUO,
  QUILLON_HB150,
  QUILLON_P5,
  QUILLON_P7,
]

/**
 * @param revision undefined = the newest
 * @throws {CoreError} unknown-sheet
 */
export function modelSheet(id: string, revision?: number): ModelSheet {
  const found = SHEETS.filter(s => s.id === id && (revision === undefined || s.revision === revision)).sort(
    (a, b) => b.revision - a.revision,
  )[0]
  if (!found)
    throw new CoreError(
      'unknown-sheet',
      revision === undefined
        ? message('error.noSheet', { id })
        : message('error.noSheetRevision', { id, revision }),
    )
  return found
}
