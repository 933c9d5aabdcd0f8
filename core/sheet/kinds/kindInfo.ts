/**
 * Parts that decide what is looked at and what can be at fault. coils = tuned coils in the power path; cores
 * = cores that a hand has moved or broken.
 */
export type KindPart =
  | 'crystals'
  | 'coils'
  | 'cores'
  | 'limiter'
  | 'transistor-final'
  | 'valves'
  | 'power-control'
  | 'linear-final'
  | 'gate-preset'
  | 'bands-in-memory'
  | 'no-receiver'

/** What a kind of set brings, whatever its model. A sheet may be more particular in its own fields. */
export interface KindInfo {
  readonly label: string
  /** rest after a key-down: a multiple of its length, and never less than so long */
  readonly rest: { readonly factor: number; readonly minS: number }
  /** time in which a final takes on and gives off heat [s] (from memory: order of magnitude only) */
  readonly heatS: number
  /** until frequency may be measured [s] */
  readonly warmUpS: number
  /** frequency is not set while it moves faster [Hz per minute] */
  readonly driftLimitHzPerMin: number
  /** supply current limit before the first power-on of an unknown one [A] */
  readonly firstLimitA: number
  readonly parts: readonly KindPart[]
}

/** Twice as long as it was keyed (common practice); valves (T01), small finals (T02) at least 30 s. */
export const REST = { usual: { factor: 2, minS: 0 }, long: { factor: 2, minS: 30 } } as const
/** Common practice: 20 to 30 min, SSB and valves the longer. */
export const WARM_UP_S = { usual: 20 * 60, long: 30 * 60 } as const
/** S03: 2 Hz a minute, 1 where a sideband hears it. */
export const DRIFT_HZ_PER_MIN = { usual: 2, sideband: 1 } as const
/** Common practice for an unknown solid-state mobile; a small kit draws less when keyed. */
export const FIRST_LIMIT_A = { usual: 1.5, kit: 0.5 } as const
