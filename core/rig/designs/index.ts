import { message } from '../../message'
import { CoreError } from '../../errors'
import type { RigDesign } from '../rigDesign'
import { BRANTWICK_TALLIS60_RIG } from './brantwickTallis60'
import { CORVID_M6_RIG } from './corvidM6'
import { LARKFIELD_LX8_RIG } from './larkfieldLx8'
import { LARKFIELD_LX8M_RIG } from './larkfieldLx8Mosfet'
import { OSMUND_27F_RIG } from './osmund27f'
import { OSMUND_40A_RIG } from './osmund40a'
import { QUILLON_HB150_RIG } from './quillonHb150'
import { QUILLON_P5_RIG } from './quillonP5'
import { QUILLON_P7_RIG } from './quillonP7'

/** Every simulated set, by the id of its model sheet. */
export const RIG_DESIGNS: readonly RigDesign[] = [
  OSMUND_27F_RIG,
  OSMUND_40A_RIG,
  LARKFIELD_LX8_RIG,
  LARKFIELD_LX8M_RIG,
  CORVID_M6_RIG,
  BRANTWICK_TALLIS60_RIG,
  QUILLON_HB150_RIG,
  QUILLON_P5_RIG,
  QUILLON_P7_RIG,
]

/** @throws {CoreError} unknown-sheet */
export function rigDesign(id: string): RigDesign {
  const found = RIG_DESIGNS.find(d => d.id === id)
  if (!found) throw new CoreError('unknown-sheet', message('error.noSimulatedSet', { id }))
  return found
}
