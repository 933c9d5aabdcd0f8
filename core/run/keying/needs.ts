import { quantityInfo, type Need, type Quantity } from '../../quantity'
import type { MeasurePoint, SetState } from '../../sheet'
import type { KeyedBy } from './keyed'

/**
 * What a quantity needs in a state of the set: the catalogue's needs, and nothing of the transmitter while
 * receiving. A voltage of the output stage belongs to the key wherever the row is keyed.
 */
export function needsOf(quantity: Quantity, state: Pick<SetState, 'keyed'>): readonly Need[] {
  const { needs } = quantityInfo(quantity)
  return state.keyed ? needs : needs.filter(n => n === 'generator')
}

/**
 * What stands in the way of reading a row now. A second press takes it all the same: the bench may know
 * better.
 */
export type RowObstacle = 'not-keyed' | 'no-rf'

export interface RfSeen {
  /** live power at the antenna socket [W]; null = no power meter is live */
  readonly rfW: number | null
  readonly keyedBy: KeyedBy | null
}

/**
 * Whether the quantities of a row can be read now.
 *
 * Only what the row itself asks for counts: idle current, carrier suppression or a menu value want no RF.
 * @returns null when nothing speaks against it
 */
export function rowObstacle(point: MeasurePoint, seen: RfSeen): RowObstacle | null {
  const needs = new Set(point.wants.flatMap(w => needsOf(w.quantity, point.state)))
  const noRf = seen.rfW !== null && seen.keyedBy !== 'rf'
  if (needs.has('rf') && noRf) return seen.keyedBy === null ? 'not-keyed' : 'no-rf'
  return needs.has('key') && noRf && seen.keyedBy === null ? 'not-keyed' : null
}

/**
 * Whether a live value of a quantity means anything now: an unkeyed stage has no dip and no output to judge.
 */
export function isReadable(quantity: Quantity, state: Pick<SetState, 'keyed'>, seen: RfSeen): boolean {
  const needs = needsOf(quantity, state)
  if (needs.includes('rf')) return seen.rfW === null || seen.keyedBy !== null
  return !needs.includes('key') || seen.keyedBy !== null || seen.rfW === null
}
