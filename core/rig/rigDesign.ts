import type { Mode } from '../rules'
import type { RigParts } from './rigParts'
import type { Controls } from './rigState'

/** How the adjusters of one design act: positions in, electrical quantities out. */
export interface Laws {
  /** rail of the output stage wanted on AM and FM [V], or drive of a direct stage [ratio of full] */
  readonly carrierRatio: (at: At, controls: Controls) => number
  /** modulation at which the limiter holds on AM [ratio] */
  readonly depthLimit: (at: At, controls: Controls) => number
  /** share of the full deviation */
  readonly deviationShare: (at: At, controls: Controls) => number
  /** crest that the level control allows on SSB [W] */
  readonly ssbLimitW: (at: At, controls: Controls) => number
}

/**
 * Electrical position of an adjuster: 0..1 for trimmers, presets, controls; turns for cores; the code for
 * menu values.
 */
export type At = (designator: string) => number

export type AdjusterKind = 'trimmer' | 'core' | 'preset' | 'control' | 'menu-value'
/** start = where it stands in a healthy, aligned set. Menu values run 0..max. */
export interface AdjusterSpec {
  readonly kind: AdjusterKind
  readonly start: number
  readonly max?: number
  /** its menu keeps a value for each country state */
  readonly perCoverage?: boolean
  /** waxed when delivered */
  readonly waxed?: boolean
}

export type Scheme = 'three-crystal' | 'single-reference' | 'multimode' | 'clock'
/** where a set's frequency comes from, and which designators act on it */
export interface Wiring {
  readonly reference?: string
  readonly txTrimmer?: string
  readonly rxTrimmer?: string
  readonly carrierCoils?: Readonly<Record<'AM' | 'USB' | 'LSB', string>>
  readonly offsetCoils?: Readonly<Partial<Record<'AM' | 'USB' | 'LSB', string>>>
  readonly vcoCoil?: string
  /** in circuit order: before the output stage, behind it */
  readonly driveCoils: readonly string[]
  readonly outputCoils: readonly string[]
  readonly receiveCoils?: readonly string[]
  readonly trap?: string
  readonly bias?: readonly string[]
  /** a bias number of its own in some mode */
  readonly biasByMode?: Readonly<Partial<Record<Mode, readonly string[]>>>
  /** bias without an adjuster, 0..1 */
  readonly fixedBias?: number
  readonly balance?: string
  readonly panel?: string
  readonly sMeter?: string
  readonly ifOffset?: string
  readonly preselector?: string
  readonly plate?: string
  readonly load?: string
  readonly neutralising?: string
}

/** A simulated set as data: its parts when healthy, its adjusters when aligned, and how they are wired. */
export interface RigDesign {
  /** of its model sheet */
  readonly id: string
  readonly name: string
  readonly planId: string
  readonly modes: readonly Mode[]
  readonly nominalSupplyV: number
  readonly firstChannel: number
  readonly scheme: Scheme
  /** FM and CW go through the regulator of AM; false = straight from the supply */
  readonly regulated: boolean
  /** drive offered on SSB, and with a full carrier, relative to the one that saturates the output stage */
  readonly drive: { readonly ssb: number; readonly carrier: number }
  readonly parts: RigParts
  readonly adjusters: Readonly<Record<string, AdjusterSpec>>
  readonly wiring: Wiring
  readonly laws: Laws
  /** frequency the clock believes its crystal to have [Hz], for scheme 'clock' */
  readonly assumedHz?: (at: At) => number
  /** receive bandwidths: half width of SSB or CW detection [Hz] */
  readonly ssbBandwidthHz: number
  /** named controls beside the adjusters, e.g. power switch */
  readonly hasLowPower: boolean
}
