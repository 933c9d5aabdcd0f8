import { message } from '../message'
import { CoreError } from '../errors'
import { BIAS_QUANTITIES } from './catalogue/bias'
import { FREQUENCY_QUANTITIES } from './catalogue/frequency'
import { MODULATION_QUANTITIES } from './catalogue/modulation'
import { POWER_QUANTITIES } from './catalogue/power'
import { PURITY_QUANTITIES } from './catalogue/purity'
import { RECEIVER_QUANTITIES } from './catalogue/receiver'
import { SUPPLY_QUANTITIES } from './catalogue/supply'
import type { QuantityInfo } from './quantityInfo'

/**
 * Every quantity that a reading can carry, in the order of lists. Ranges: the widest that a bench of this
 * kind meets (general trade knowledge).
 */
export const QUANTITIES = {
  ...FREQUENCY_QUANTITIES,
  ...POWER_QUANTITIES,
  ...MODULATION_QUANTITIES,
  ...PURITY_QUANTITIES,
  ...BIAS_QUANTITIES,
  ...RECEIVER_QUANTITIES,
  ...SUPPLY_QUANTITIES,
} as const satisfies Record<string, QuantityInfo>

export type Quantity = keyof typeof QUANTITIES

export const QUANTITY_NAMES = Object.keys(QUANTITIES) as Quantity[]

/**
 * @returns what is known of a quantity
 * @throws {CoreError} unknown-quantity
 */
export function quantityInfo(quantity: string): QuantityInfo {
  const info = Object.hasOwn(QUANTITIES, quantity) ? QUANTITIES[quantity as Quantity] : null
  if (!info) throw new CoreError('unknown-quantity', message('error.noQuantity', { quantity }))
  return info
}
