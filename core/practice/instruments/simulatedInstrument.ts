import type { Accuracy } from '../../quantity'
import type { RigAction, RigState, RigTruth } from '../../rig'

/**
 * What an instrument sees: the set, and what it does; the spectrum only when asked, since it costs a
 * transform.
 */
export interface BenchLook {
  readonly state: RigState
  readonly truth: RigTruth
  readonly spectral: () => RigTruth
}

/** One number that an instrument shows. */
export interface SimulatedReading {
  /** as in its manual, capitals for the short form */
  readonly header: string
  /** of a channel list; undefined = it takes none */
  readonly channel?: number
  readonly read: (look: BenchLook) => number | null
  /** its class; the fixed error that nobody sees lies within */
  readonly accuracy: Accuracy
  /** last digit of its display [SI] */
  readonly resolution: number
  readonly settleS: number
  /** beyond this it shows overload [SI] */
  readonly most?: number
}

/** One thing that it can be told. */
export interface SimulatedSetting {
  readonly header: string
  readonly kind: 'number' | 'boolean'
  readonly min: number
  readonly max: number
  readonly get: (look: BenchLook) => number
  readonly actions: (value: number, look: BenchLook) => readonly RigAction[]
}

export interface SimulatedInstrument {
  readonly key: string
  readonly name: string
  readonly profileId: string
  readonly identity: string
  readonly readings: readonly SimulatedReading[]
  readonly settings: readonly SimulatedSetting[]
  /** draws a trace: spectrum as a binary block */
  readonly traces?: boolean
  /** answers MEAS:POIN? "name" for any test point */
  readonly probes?: boolean
}
