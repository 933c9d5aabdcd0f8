import type { Quantity } from '../quantity'
import type { Mode, Window } from '../rules'

/** Whether a set is opened beyond its standard: states keep separate values. */
export const COVERAGES = ['standard', 'expanded'] as const
export type Coverage = typeof COVERAGES[number]

/** What an adjuster is in the circuit; decides what goes stale when it is turned. */
export type AdjusterRole =
  | 'reference' | 'tx-crystal' | 'rx-crystal' | 'vco-coil' | 'coil'
  | 'carrier-preset' | 'modulation-preset' | 'trap'
  | 'low-power-preset' | 'deviation-preset' | 'panel-preset' | 's-meter-preset'
  | 'carrier-oscillator' | 'mode-offset' | 'bias' | 'balance' | 'alc' | 'power-control' | 'tank' | 'preselector' | 'neutralising'

export interface Adjuster {
  readonly designator: string
  /** fixed-part = a place where an adjuster could be and is not; menu-value = a number in a service menu */
  readonly kind: 'trimmer' | 'core' | 'preset' | 'fixed-part' | 'menu-value' | 'control'
  readonly role: AdjusterRole
  readonly name: string
  readonly moves: string
  readonly where: string
  readonly turn: string
  readonly tool: string
  readonly caution: string | null
  /** centre on the board map, ratios of its width and height */
  readonly board: { readonly x: number, readonly y: number }
}

/** How the set stands while a point is measured: what the technician must set before pressing. */
export interface SetState {
  readonly mode: Mode
  readonly channel: number | null
  readonly keyed: boolean
  readonly lowPower: boolean
  readonly toneHz: number | null
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
  | { readonly kind: 'window', readonly window: Window }
  | { readonly kind: 'channel-error', readonly lowHz: number, readonly highHz: number, readonly aimHz: number, /** where a single tone puts a sideband, from the channel [Hz] */ readonly offsetHz?: number }
  | { readonly kind: 'nominal-error', readonly nominalHz: number, readonly lowHz: number, readonly highHz: number, readonly aimHz: number }
  | { readonly kind: 'like-reading', readonly stepId: string, readonly quantity: Quantity, readonly lowRatio: number, readonly highRatio: number }

/** One number wanted at a point. */
export interface Want {
  readonly quantity: Quantity
  readonly target: TargetSpec | null
  /** false while peaking: the reading is on the way, not what the set will be left with */
  readonly judgeLimit: boolean
}

/** One state of the set and the numbers read in it: one key-down, one press, one row. */
export interface MeasurePoint {
  readonly id: string
  readonly title: string
  readonly state: SetState
  readonly wants: readonly Want[]
}

/** A condition on all points of a step together. */
export type StepCriterion =
  | { readonly kind: 'spread', readonly quantity: Quantity, readonly maxDb: number }
  | { readonly kind: 'peak', readonly quantity: Quantity, readonly gainDb: number }

export interface Step {
  readonly id: string
  readonly title: string
  readonly instruction: string
  readonly why: string
  readonly cautions: readonly string[]
  readonly points: readonly MeasurePoint[]
  readonly criterion: StepCriterion | null
  /** designators, in the order in which they are turned */
  readonly adjusters: readonly string[]
  /** steps that must be current first */
  readonly needs: readonly string[]
  /** a step whose current reading inside its tolerance makes this one unnecessary */
  readonly skipIf: string | null
  /** its outcome only chooses the way: outside is an answer, not a failure */
  readonly decides: boolean
  /** longest key-down [s]; null = not keyed */
  readonly keyDownLimitS: number | null
}

/** Work of the procedure that stays on the job as an open item until it is settled in words. */
export interface OwedItem { readonly id: string, readonly title: string, readonly why: string }

export interface SpecLine { readonly what: string, readonly value: string, readonly source: string }

/** Kind of set: decides what is inspected and how it is first powered. */
export type SetKind = 'fm-mobile' | 'am-mobile' | 'multimode' | 'menu-mobile' | 'high-power' | 'hybrid-valve' | 'cw-kit' | 'menu-qrp'

export interface ModelSheet {
  readonly id: string
  readonly kind: SetKind
  readonly model: string
  readonly description: string
  readonly revision: number
  readonly revisedOn: string
  readonly planId: string
  /** mode, channels and controls that a first judgement goes by when the set has several */
  readonly main: { readonly mode: Mode, readonly fromChannel: number, readonly toChannel: number, /** controls of the keyed rows that count; '' = as usual */ readonly setting: string }
  readonly defaultRuleSetId: string
  readonly nominalSupplyV: number
  readonly load: string
  /** plate voltage of a valve set [V] */
  readonly plateV?: number
  /** healthy current, receiving [A] */
  readonly idleA: { readonly low: number, readonly high: number }
  readonly keyedA: { readonly low: number, readonly high: number }
  readonly cautions: readonly string[]
  readonly specification: readonly SpecLine[]
  readonly adjusters: readonly Adjuster[]
  /** the rows measured as found and, alike, as left */
  readonly matrix: readonly MeasurePoint[]
  readonly procedure: readonly Step[]
  readonly owed: readonly OwedItem[]
}
