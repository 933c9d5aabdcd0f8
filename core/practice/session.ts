import type { RigAction, RigState, Scenario } from '../rig'

/** Something that was done, in time of the session. */
export interface Logged {
  readonly atS: number
  /** wall clock, to be compared with readings [ms] */
  readonly atMs: number
  readonly action: RigAction | { readonly kind: 'pass'; readonly seconds: number }
  readonly motion: string | null
}

/** How the set fared, a few times a second at most. */
export interface TracePoint {
  readonly atS: number
  readonly powerW: number
  readonly keyed: boolean
  readonly junctionC: number
  readonly supplyA: number
  readonly errorHz: number | null
}

/** Everything that a review needs of one case. */
export interface PracticeRecord {
  readonly scenario: Scenario
  readonly start: RigState
  readonly final: RigState
  readonly log: readonly Logged[]
  readonly trace: readonly TracePoint[]
  /** faults that were named when it was finished */
  readonly named: readonly string[]
  /** rows measured as found before the first turn of an adjuster; null = no job was kept */
  readonly rowsBeforeFirstTurn: number | null
}
