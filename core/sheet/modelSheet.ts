import type { Mode, OfPlan } from '../rules'
import type { Adjuster, BoardPicture, TestPoint } from './shape/adjuster'
import type { MeasurePoint } from './shape/measurePoint'
import type { MixingScheme } from './shape/scheme'
import type { Step } from './shape/step'
import type { SetKind } from './kinds'

export * from './shape/adjuster'
export * from './shape/measurePoint'
export * from './shape/scheme'
export * from './shape/step'

/** A weak point of the model that was met before. */
export interface TypicalFault {
  readonly seen: string
  readonly cause: string
  readonly cure: string
}

/** An item of the inspection that belongs to this model beside those of its kind. */
export interface OwnInspectionItem {
  readonly id: string
  readonly lookFor: string
  readonly good: string
  readonly bad: string
}

/** Work of the procedure that stays on the job as an open item until it is settled in words. */
export interface OwedItem {
  readonly id: string
  readonly title: string
  readonly why: string
  /** done once the settings card has every band; no value = settled in words */
  readonly doneBy?: 'settings-card'
}

/** A control that the power follows, by the rows at its two ends. */
export interface PowerControl {
  readonly name: string
  readonly lowestPointId: string
  readonly highestPointId: string
}

export interface SpecLine {
  readonly what: string
  readonly value: string
  readonly source: string
}

export interface ModelSheet extends OfPlan {
  readonly id: string
  readonly kind: SetKind
  readonly model: string
  readonly description: string
  readonly revision: number
  readonly revisedOn: string
  /** mode, channels and controls that a first judgement goes by when the set has several */
  readonly main: {
    readonly mode: Mode
    readonly fromChannel: number
    readonly toChannel: number
    /** controls of the keyed rows that count; '' = as usual */
    readonly setting: string
  }
  readonly defaultRuleSetId: string
  readonly nominalSupplyV: number
  readonly load: string
  /** plate voltage of a valve set [V] */
  readonly plateV?: number
  /** healthy current, receiving [A] */
  readonly idleA: { readonly low: number; readonly high: number }
  readonly keyedA: { readonly low: number; readonly high: number }
  readonly cautions: readonly string[]
  readonly specification: readonly SpecLine[]
  readonly adjusters: readonly Adjuster[]
  /** the rows measured as found and, alike, as left */
  readonly matrix: readonly MeasurePoint[]
  readonly procedure: readonly Step[]
  readonly owed: readonly OwedItem[]
  /** what the set calls the highest and the lowest position of its power control; no value = high, low */
  readonly powerNames?: { readonly high?: string | undefined; readonly low?: string | undefined }
  /** controls whose range is a reading of its own */
  readonly powerControls?: readonly PowerControl[]
  readonly testPoints?: readonly TestPoint[]
  readonly boards?: readonly BoardPicture[]
  readonly scheme?: MixingScheme
  readonly inspection?: readonly OwnInspectionItem[]
  readonly typicalFaults?: readonly TypicalFault[]
  /** sides of schools of practice that this model asks for, whatever the shop mostly does: school -> side */
  readonly schools?: Readonly<Record<string, string>>
  /**
   * template that it was begun from, as long as what it says is usual for that family and not known of this
   * model
   */
  readonly family?: string
  /** frequency is not set while it moves faster [Hz/min]; no value = by kind of set */
  readonly driftLimitHzPerMin?: number
}
