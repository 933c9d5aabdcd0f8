import { quantityInfo, type Quantity } from '#core/quantity'
import { translated } from '#shared/i18n'

/** Name of a quantity, as lists and tables show it. */
export const quantityLabel = (quantity: Quantity): string => translated(quantityInfo(quantity).label)

/** Its short name on the rail of live readings. */
export const railLabel = (quantity: Quantity): string =>
  translated(quantityInfo(quantity).rail?.label ?? quantityInfo(quantity).label)
