import type { MenuFormat, Quantity } from '../../quantity'
import type { Mode, Window } from '../../rules'

/** Whether a set is opened beyond its standard: states keep separate values. */
export const COVERAGES = ['standard', 'expanded'] as const
export type Coverage = (typeof COVERAGES)[number]

/** What modulates a set beside a single tone. */
export const AUDIOS = ['two-tones', 'speech'] as const
export type Audio = (typeof AUDIOS)[number]

/** How the set stands while a point is measured: what the technician must set before pressing. */
export interface SetState {
  readonly mode: Mode
  readonly channel: number | null
  readonly keyed: boolean
  /** at the lowest position of the power control */
  readonly lowPower: boolean
  /**
   * position of the power control between highest and lowest, as the set or the sheet calls it: 'medium',
   * '2.5 W', 'mark 3'; none = at the end that lowPower says
   */
  readonly powerPosition?: string
  readonly toneHz: number | null
  /** what modulates it when that is no single tone; none = the tone, or nothing */
  readonly audio?: Audio
  /** audio drive [V rms]; null = as the step says */
  readonly toneV: number | null
  /** generator at the antenna socket, pd into 50 ohm [V]; null = none */
  readonly inputV: number | null
  readonly coverage: Coverage
  /** controls of the set that decide the reading, e.g. 'RF power at minimum'; '' = as usual */
  readonly setting: string
  /** anything else in words, e.g. where a probe sits */
  readonly also: string | null
}

/** A workshop target as the sheet writes it; becomes a {@link Window} when channel and readings are known. */
export type TargetSpec =
  | { readonly kind: 'window'; readonly window: Window }
  | {
      readonly kind: 'channel-error'
      readonly lowHz: number
      readonly highHz: number
      readonly aimHz: number
      /** where a single tone puts a sideband, from the channel [Hz] */
      readonly offsetHz?: number
    }
  | {
      readonly kind: 'nominal-error'
      readonly nominalHz: number
      readonly lowHz: number
      readonly highHz: number
      readonly aimHz: number
    }
  | {
      readonly kind: 'like-reading'
      readonly stepId: string
      readonly quantity: Quantity
      readonly lowRatio: number
      readonly highRatio: number
    }
  /**
   * so much more than was read at another point [SI]: bias by the rise of the current over that without bias
   */
  | {
      readonly kind: 'above-reading'
      readonly stepId: string
      readonly pointId: string
      readonly quantity: Quantity
      readonly low: number
      readonly high: number
      readonly aim: number
    }

/** One number wanted at a point. */
export interface Measurand {
  readonly quantity: Quantity
  readonly target: TargetSpec | null
  /** false while peaking: the reading is on the way, not what the set will be left with */
  readonly judgeLimit: boolean
  /** how the set writes a menu value; no value = one byte in hexadecimal */
  readonly menu?: MenuFormat
}

/** One state of the set and the numbers read in it: one key-down, one press, one row. */
export interface MeasurePoint {
  readonly id: string
  readonly title: string
  readonly state: SetState
  readonly wants: readonly Measurand[]
  /** worth reading, and nothing is missing without it */
  readonly isOptional?: boolean
}
