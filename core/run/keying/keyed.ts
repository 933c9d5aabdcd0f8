import type { ModelSheet } from '../../sheet'

/**
 * Carrier power above this means that the set is keyed [W]: above the offset of a cold meter, below any
 * low-power setting.
 */
export const KEYED_ABOVE_W = 0.02
/** Current of an output stage that says the same: above the last digit of a multimeter [A]. */
const STAGE_ABOVE_A = 0.002

/** How it is known that the transmitter is on. */
export type KeyedBy = 'rf' | 'stage-current' | 'supply-current' | 'key-line' | 'hand'

/** What the bench shows of the key now; null = nothing live says it. */
export interface KeySigns {
  readonly rfW: number | null
  readonly supplyA: number | null
  /** idle or plate current of the output stage [A] */
  readonly stageA: number | null
  readonly keyLine: boolean | null
  /** K pressed by hand */
  readonly byHand: boolean
}

export const NO_SIGNS: KeySigns = { rfW: null, supplyA: null, stageA: null, keyLine: null, byHand: false }

/**
 * Whether the set is keyed, and what tells it. No RF proves nothing: SSB without audio and a bias row have
 * none.
 * @param currents of the sheet; null = no set at hand, and the supply current says nothing
 * @returns null when nothing shows that it is keyed
 */
export function keyedBy(
  signs: KeySigns,
  currents: Pick<ModelSheet, 'idleA' | 'keyedA'> | null,
): KeyedBy | null {
  if (signs.rfW !== null && signs.rfW > KEYED_ABOVE_W) return 'rf'
  if (signs.keyLine === true) return 'key-line'
  if (signs.stageA !== null && signs.stageA > STAGE_ABOVE_A) return 'stage-current'
  if (currents && signs.supplyA !== null && signs.supplyA > keyedAboveA(currents)) return 'supply-current'
  return signs.byHand ? 'hand' : null
}

/**
 * Whether anything live would show it if the set were keyed; where nothing does, an unkeyed set is not known
 * to be one.
 * @param currents of the sheet; null = no set at hand, and the supply current says nothing
 */
export function sensesKey(signs: KeySigns, currents: Pick<ModelSheet, 'idleA' | 'keyedA'> | null): boolean {
  if (signs.rfW !== null || signs.keyLine !== null || signs.stageA !== null) return true
  return currents !== null && signs.supplyA !== null && keyedAboveA(currents) < Infinity
}

/**
 * Half way between what the set draws receiving and what it draws keyed; where the two overlap the current
 * tells nothing.
 */
function keyedAboveA({ idleA, keyedA }: Pick<ModelSheet, 'idleA' | 'keyedA'>): number {
  return keyedA.low > idleA.high ? (idleA.high + keyedA.low) / 2 : Infinity
}
