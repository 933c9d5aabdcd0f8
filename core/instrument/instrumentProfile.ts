import type { MeterKind } from './meterKind'
import type { Accuracy, Quantity } from '../quantity'

/** One quantity of an instrument: how to ask for it and how good the answer is. */
export interface ProfileQuantity {
  readonly quantity: Quantity
  /** SCPI query; null = read by eye and typed */
  readonly query: string | null
  /** SI value = answer x toSi */
  readonly toSi: number
  readonly accuracy: Accuracy
  /** value of one division of its scale [SI]; it is read to half of it */
  readonly tick?: number
}

/** What an instrument can be told, by the name that stepped measurements use. */
export const SETTING_NAMES = ['supplyV', 'limitA', 'toneHz', 'toneV', 'inputV', 'inputHz'] as const
export type SettingName = (typeof SETTING_NAMES)[number]

/** One thing that can be set: how to say it, how to read it back. */
export interface ProfileSetting {
  readonly name: SettingName
  /** {value} stands where the number goes */
  readonly command: string
  readonly query: string
  /** SI value = number x toSi */
  readonly toSi: number
  readonly min: number
  readonly max: number
}

/** An instrument as data: adding one to the bench needs a profile, not code. */
export interface InstrumentProfile {
  readonly id: string
  readonly name: string
  readonly what: string
  /** of its power readings; undefined = it reads none */
  readonly meterKind?: MeterKind
  /** false: an instrument that does not talk; its readings are typed */
  readonly talks: boolean
  readonly quantities: readonly ProfileQuantity[]
  /** it is there without being added: the set's own meters, a clock on the wall */
  readonly alwaysThere?: true
  /** what it can be told; undefined = nothing */
  readonly settings?: readonly ProfileSetting[]
  readonly accuracyWords: string
  readonly source: string
}
