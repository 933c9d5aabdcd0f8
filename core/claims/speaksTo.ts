import type { Reading } from '../quantity'
import type { CellState } from '../run'
import { isFullPower, isLeastPower, isUnmodulated, type SetState } from '../sheet'
import type { ClaimQuantity } from './claim'

/** The value that a reading gives to a claim, or null when it is no reading of that. */
type Speaks = (state: SetState, cell: CellState, reading: Reading) => number | null

/**
 * With a tone the mean power of AM holds the sidebands too, on voice and two tones it is no carrier at all.
 */
const isCarrier = (s: SetState) =>
  s.keyed && (s.mode === 'FM' || isUnmodulated(s)) && !/no drive|no audio/.test(s.setting)
const of =
  (quantity: Reading['quantity'], when: (s: SetState) => boolean): Speaks =>
  (state, _cell, reading) =>
    reading.quantity === quantity && when(state) ? reading.value : null
const offBy: Speaks = (_state, { requirement }, { quantity, value }) =>
  quantity === 'carrierHz' && requirement.nominalHz !== null ? value - requirement.nominalHz : null

/**
 * Which readings speak to a claim: of its quantity and of the way in which that is measured, nothing else.
 */
export const SPEAKS_TO: Readonly<Record<ClaimQuantity, Speaks>> = {
  powerW: of('powerW', s => isCarrier(s) && isFullPower(s)),
  lowPowerW: of('powerW', s => isCarrier(s) && isLeastPower(s)),
  pepW: of('pepW', s => s.keyed && isFullPower(s)),
  panelPowerW: of('panelPowerW', s => s.keyed),
  frequencyErrorHz: offBy,
  frequencyOffHz: (state, cell, reading) => {
    const hz = offBy(state, cell, reading)
    return hz === null ? null : Math.abs(hz)
  },
  deviationHz: of('deviationPositiveHz', s => s.toneHz !== null),
  depthRatio: of('depthNegativeRatio', s => s.toneHz !== null),
  swr: of('swr', s => s.keyed),
  supplyA: of('supplyA', isCarrier),
  plateA: of('plateA', s => s.keyed),
  sensitivityV: (_state, _cell, { quantity, value }) =>
    quantity === 'sensitivityV' || quantity === 'audibleV' ? value : null,
}
