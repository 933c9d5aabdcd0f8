import type { Quantity, Reading } from '../../quantity'
import type { Requirement, RowConditions } from '../../run'
import type { MeasurePoint, ModelSheet, ReceiverTest } from '../../sheet'

/**
 * A reading that cannot be true, or that contradicts its row. It is kept all the same; the rule and numbers
 * are for the words.
 */
export type Challenge =
  | {
      readonly rule: 'P01'
      readonly quantity: 'sinadDb'
      readonly readDb: number
      readonly maxDb: number
      readonly inputV: number
    }
  | {
      readonly rule: 'P03'
      readonly quantity: 'depthPositiveRatio' | 'depthNegativeRatio'
      readonly readRatio: number
      readonly byPepRatio: number
    }
  | {
      readonly rule: 'P04'
      readonly quantity: 'powerW' | 'pepW'
      readonly meanW: number
      readonly pepW: number
    }
  | {
      readonly rule: 'P05'
      readonly quantity: 'powerW'
      readonly meanW: number
      readonly carrierW: number
      readonly maxW: number
    }
  | {
      readonly rule: 'P06'
      readonly quantity: 'powerW'
      readonly meanW: number
      readonly inputW: number
      readonly maxRatio: number
      /** true = possible, but more than such sets make */
      readonly isUnusual: boolean
    }
  | {
      readonly rule: 'P09'
      readonly quantity: Quantity
      readonly read: number
      readonly fullScale: number
      readonly side: 'low' | 'beyond'
    }
  | {
      readonly rule: 'P10'
      readonly quantity: 'powerW'
      readonly readW: number
      readonly factor: number
      readonly likelyW: number
    }
  | {
      readonly rule: 'P11'
      readonly quantity: 'carrierHz' | 'referenceHz'
      readonly readHz: number
      readonly nominalHz: number
      readonly likelyHz: readonly number[]
    }
  | {
      readonly rule: 'P12'
      readonly quantity: 'carrierHz'
      readonly readHz: number
      readonly channel: number
      readonly planName: string
      readonly nominalHz: number
    }
  | {
      /** the frequency of another channel of the same set */
      readonly rule: 'P42'
      readonly quantity: 'carrierHz'
      readonly readHz: number
      readonly channelName: string
      readonly rowChannelName: string
    }
  | {
      readonly rule: 'P13'
      readonly quantity: 'carrierHz'
      readonly mode: 'USB' | 'LSB'
      readonly offHz: number
    }
  | { readonly rule: 'P16'; readonly quantity: 'depthNegativeRatio'; readonly readRatio: number }
  | {
      readonly rule: 'P41'
      readonly quantity: 'depthPositiveRatio' | 'depthNegativeRatio'
      readonly readRatio: number
    }
  | {
      readonly rule: 'P21'
      readonly quantity: 'pepW'
      readonly pepW: number
      readonly otherW: number
      readonly otherTitle: string
    }
  | {
      readonly rule: 'P22'
      readonly quantity: 'powerW'
      readonly outputW: number
      readonly inputW: number
      readonly maxRatio: number
    }
  | { readonly rule: 'P23'; readonly quantity: 'powerW'; readonly beforeW: number; readonly nowW: number }
  | {
      readonly rule: 'P25'
      readonly quantity: 'depthPositiveRatio' | 'depthNegativeRatio'
      readonly readRatio: number
      readonly maxRatio: number
      readonly pepMostW: number
    }
  | { readonly rule: 'P26'; readonly quantity: Quantity; readonly read: number; readonly tick: number }
  | {
      readonly rule: 'P24'
      readonly quantity: 'pepW'
      readonly pepW: number
      readonly carrierW: number
      readonly byPepRatio: number
    }
  | {
      readonly rule: 'P33'
      readonly quantity: 'sensitivityV' | 'audibleV'
      readonly readV: number
      readonly minV: number
      readonly test: ReceiverTest
    }
  | {
      readonly rule: 'P40'
      readonly quantity: 'carrierHz' | 'referenceHz'
      readonly readHz: number
      readonly boundHz: number
      readonly windowHz: number
    }
  | {
      readonly rule: 'P37'
      readonly quantity: 'deviationPositiveHz' | 'deviationNegativeHz'
      readonly readHz: number
    }

/** A row as it is about to be kept, with what is asked of each reading. */
export interface RowUnderDoubt {
  readonly sheet: ModelSheet
  readonly point: MeasurePoint
  readonly conditions: RowConditions
  readonly readings: readonly Reading[]
  /** unmodulated carrier on the same channel and power setting [W]; null = not measured yet */
  readonly carrierW: number | null
  /** bound of that reading [W]; 0 where nobody knows, or no carrier was read */
  readonly carrierBoundW: number
  readonly askedOf: (quantity: Quantity) => Requirement | null
  /** scale of the meter that a reading came from; null = it has none that matters, or nobody knows */
  readonly meterOf: (reading: Reading) => MeterScale | null
  /** the reading of the same row before this one, nothing turned since */
  readonly earlier: (quantity: Quantity) => Reading | null
  /** largest PEP of the same mode under the same controls at this drive or more [W]; null = not measured */
  readonly pepMostW: number | null
  /** largest power of this job whose supply current says that it is real [W]; null = none */
  readonly provenW: number | null
  /** power that a reading of another meter supports [W]; null = none does */
  readonly supportedW: number | null
  /** other rows called fully modulated on a carrier under the same controls */
  readonly otherFull: readonly { readonly title: string; readonly pepW: number }[]
}

/** fullScale and tick in SI, at the set: attenuation in front is in them. */
export interface MeterScale {
  readonly fullScale: number | null
  readonly tick: number | null
}

/** The reading of a quantity in a row, if it is there. */
export function readingIn(row: Pick<RowUnderDoubt, 'readings'>, quantity: Quantity): Reading | undefined {
  return row.readings.find(r => r.quantity === quantity)
}
