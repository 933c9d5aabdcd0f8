import type { HeatMemory, LoopMemory, Slug, Tool } from '../circuit'
import type { Coverage } from '../sheet'
import type { Mode } from '../rules'
import type { PartGroup, RigParts } from './rigParts'

/** What the hands and the bench set. */
export interface Controls {
  readonly powerOn: boolean
  readonly mode: Mode
  readonly channel: number
  readonly keyed: boolean
  readonly lowPower: boolean
  readonly coverage: Coverage
  /** 0..1 */
  readonly micGain: number
  /** 0..1, 0.5 = 12 o'clock; +/-1 kHz at its ends */
  readonly clarifier: number
  /** drive, valve carrier control or PA oscillator switched off: idle current only */
  readonly driveOff: boolean
}

/** What is fed in: at the microphone socket, at the microphone, at the antenna. */
export interface Stimulus {
  readonly tones: readonly { readonly hz: number; readonly v: number }[]
  /** whistle into the microphone: a tone through its element; other = a known good microphone instead */
  readonly whistle: boolean
  readonly otherMicrophone: boolean
  /** generator at the antenna socket [V pd], 0 = off */
  readonly inputV: number
  readonly inputHz: number | null
}

export interface Surroundings {
  readonly supplyV: number
  readonly limitA: number
  readonly foldback: boolean
  readonly leadOhm: number
  readonly ambientC: number
  readonly humidity: number
}

/** What the set remembers of its past. */
export interface RigMemory {
  readonly timeS: number
  readonly onS: number
  /** time that its warmth is worth: grows while on, falls while off */
  readonly warmS: number
  readonly loop: LoopMemory
  readonly heat: HeatMemory
  readonly driverRiseK: number
  readonly highV: number
  readonly keyedS: number
  readonly keyedTotalS: number
  /** hottest the output device has been [deg C] */
  readonly hottestC: number
}

/** A simulated set at one moment. Plain data: can be stored, copied, repeated. */
export interface RigState {
  readonly designId: string
  readonly seed: number
  readonly parts: RigParts
  readonly positions: Readonly<Record<string, number>>
  readonly slugs: Readonly<Record<string, Slug>>
  readonly controls: Controls
  readonly stimulus: Stimulus
  readonly surroundings: Surroundings
  readonly memory: RigMemory
  /** what was destroyed on the way, in order */
  readonly damage: readonly {
    readonly timeS: number
    readonly what: PartGroup | string
    readonly why: string
  }[]
}

/** One thing that a person does. */
export type RigAction =
  | {
      readonly kind: 'turn'
      readonly designator: string
      readonly position: number
      readonly tool?: Tool
      readonly forced?: boolean
    }
  | { readonly kind: 'control'; readonly controls: Partial<Controls> }
  | { readonly kind: 'stimulus'; readonly stimulus: Partial<Stimulus> }
  | { readonly kind: 'surroundings'; readonly surroundings: Partial<Surroundings> }
  | { readonly kind: 'soften'; readonly designator: string }
  | { readonly kind: 'clean'; readonly designator: string }
  | { readonly kind: 'wash' }
  | {
      readonly kind: 'replace'
      readonly group: PartGroup
      /** one stage of the group, e.g. a coil */
      readonly designator?: string
    }
  | { readonly kind: 'remove'; readonly group: PartGroup }
  | { readonly kind: 'fit-trimmer' }
