import type { Quantity, Reading } from '../../quantity'
import type { Asked, RowConditions } from '../../run'
import type { MeasurePoint, ModelSheet } from '../../sheet'

/** A reading that cannot be true, or that contradicts its row. It is kept all the same; the rule and numbers are for the words. */
export type Challenge =
  | { readonly rule: 'P01', readonly quantity: 'sinadDb', readonly readDb: number, readonly mostDb: number, readonly inputV: number }
  | { readonly rule: 'P03', readonly quantity: 'depthPositiveRatio' | 'depthNegativeRatio', readonly readRatio: number, readonly byPepRatio: number }
  | { readonly rule: 'P04', readonly quantity: 'powerW' | 'pepW', readonly meanW: number, readonly pepW: number }
  | { readonly rule: 'P05', readonly quantity: 'powerW', readonly meanW: number, readonly carrierW: number, readonly mostW: number }
  | { readonly rule: 'P06', readonly quantity: 'powerW', readonly meanW: number, readonly inputW: number, readonly mostRatio: number }
  | { readonly rule: 'P10', readonly quantity: 'powerW', readonly readW: number, readonly factor: number, readonly likelyW: number }
  | { readonly rule: 'P11', readonly quantity: 'carrierHz' | 'referenceHz', readonly readHz: number, readonly nominalHz: number, readonly likelyHz: readonly number[] }
  | { readonly rule: 'P12', readonly quantity: 'carrierHz', readonly readHz: number, readonly channel: number, readonly planName: string, readonly nominalHz: number }
  | { readonly rule: 'P16', readonly quantity: 'depthNegativeRatio', readonly readRatio: number }
  | { readonly rule: 'P24', readonly quantity: 'pepW', readonly pepW: number, readonly carrierW: number, readonly byPepRatio: number }
  | { readonly rule: 'P33', readonly quantity: 'sensitivityV', readonly readV: number, readonly leastV: number }
  | { readonly rule: 'P37', readonly quantity: 'deviationPositiveHz' | 'deviationNegativeHz', readonly readHz: number }

/** A row as it is about to be kept, with what is asked of each reading. */
export interface RowUnderDoubt {
  readonly sheet: ModelSheet
  readonly point: MeasurePoint
  readonly conditions: RowConditions
  readonly readings: readonly Reading[]
  /** unmodulated carrier on the same channel and power setting [W]; null = not measured yet */
  readonly carrierW: number | null
  readonly askedOf: (quantity: Quantity) => Asked | null
}

/** The reading of a quantity in a row, if it is there. */
export function readingIn(row: Pick<RowUnderDoubt, 'readings'>, quantity: Quantity): Reading | undefined {
  return row.readings.find(r => r.quantity === quantity)
}
