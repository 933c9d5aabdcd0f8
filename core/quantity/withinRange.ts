import type { Message } from '../message'
import { CoreError } from '../errors'
import { checkRange } from './parseTyped'
import { quantityInfo, type Quantity } from './quantities'
import type { Measured } from './reading'

/**
 * A reading that may be stored, changed to a bound where it lies beyond the noise floor; or why it may not.
 */
export type RangeCheck<M extends Measured> =
  { readonly ok: true; readonly reading: M } | { readonly ok: false; readonly problem: Message }

/**
 * The one check that decides whether a reading is stored: the screen asks it before it says "taken", the
 * server again.
 *
 * A level beyond the end of the range that is a noise floor (-155.4 dBc) says only that nothing was seen down
 * to there: it becomes a bound at that end.
 * @param reading value [SI]
 * @returns the reading to store, or the problem with the permitted range
 * @example withinRange({ value: -155.4, standardUncertainty: 1 }, 'harmonicDbc') // => at most -150 dBc
 */
export function withinRange<M extends Measured>(reading: M, quantity: Quantity): RangeCheck<M> {
  const atFloor = beyondFloor(reading.value, quantity)
  if (atFloor) return { ok: true, reading: { ...reading, ...atFloor } }
  try {
    checkRange(reading.value, quantity)
    return { ok: true, reading }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return { ok: false, problem: error.says }
  }
}

function beyondFloor(value: number, quantity: Quantity): Pick<Measured, 'value' | 'bound'> | null {
  const { floor, min, max } = quantityInfo(quantity)
  if (floor === 'min' && value < min) return { value: min, bound: 'at-most' }
  if (floor === 'max' && value > max) return { value: max, bound: 'at-least' }
  return null
}
