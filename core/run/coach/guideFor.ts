import { HEX_BYTE, type MenuFormat } from '../../quantity'
import { entryOfPoint, type Adjuster, type AdjusterRole, type ModelSheet, type Step } from '../../sheet'
import { balanceMove, type BalanceMove, type CoilTurns } from '../balance'
import { bandRounds, type BandRounds } from '../balance/bandRounds'
import type { History } from '../history'
import type { MeasurandState } from '../measurandState'

/** Which guide fits a step: what is sought, by the step alone. */

/** Rounds that say something of how the coils stand now; earlier ones were another evening. */
const MAX_ROUNDS = 5
/** Roles whose place is found by a maximum or a dip, not by a number. */
const PEAKED_ROLES: readonly AdjusterRole[] = ['coil', 'trap', 'tank', 'preselector']

/** Whether a step is done by a maximum or a dip. */
export function seeksPeak({ criterion }: Step, adjusters: readonly Adjuster[]): boolean {
  if (criterion?.kind === 'spread') return false
  return criterion?.kind === 'peak' || adjusters.some(a => PEAKED_ROLES.includes(a.role))
}

/** A window that a continuous adjuster is set into, with the value aimed at [SI]. */
export interface SettingTarget {
  readonly low: number
  readonly high: number
  readonly aim: number
}

/** @returns null when the step has a criterion of its own, nothing to turn, or no window with two ends */
export function settingTarget(
  { criterion }: Step,
  { requirement: { window } }: MeasurandState,
  adjusters: readonly Adjuster[],
): SettingTarget | null {
  const isTurned = adjusters.some(a => a.kind !== 'menu-value')
  if (!window || window.low === null || window.high === null || criterion || !isTurned) return null
  return { low: window.low, high: window.high, aim: window.aim ?? (window.low + window.high) / 2 }
}

/** The entry of a service menu that a row is about. */
export interface MenuEntry {
  readonly designator: string
  readonly format: MenuFormat
}

/** Steps turn their entries row by row. @returns null when the row is about no menu value */
export function menuEntry(
  step: Step,
  { point, want }: MeasurandState,
  adjusters: readonly Adjuster[],
): MenuEntry | null {
  const designator = entryOfPoint({ adjusters, procedure: [step] }, step.id, point.id)
  if (designator === null || want.quantity === 'menuCode') return null
  const code = point.wants.find(w => w.quantity === 'menuCode')
  return { designator, format: code?.menu ?? HEX_BYTE }
}

/** Two coils against each other over the band: the rounds so far, and the next move. */
export interface BalanceView {
  readonly rounds: BandRounds
  readonly limitDb: number
  readonly next: BalanceMove | null
}

/**
 * @param limitDb spread that the step allows
 * @returns null when the step is not one of even power over the band
 */
export function balanceView(
  sheet: ModelSheet,
  step: Step,
  past: History,
  limitDb: number,
): BalanceView | null {
  const all = bandRounds(sheet, step, past)
  if (!all) return null
  const passes = all.passes.slice(-MAX_ROUNDS)
  const made: CoilTurns[] = []
  for (let i = 1; i < passes.length; i++) {
    const move = balanceMove(passes.slice(0, i), made, all.halfBand, limitDb)
    made.push(move?.turns ?? { first: 0, second: 0 })
  }
  return { rounds: { ...all, passes }, limitDb, next: balanceMove(passes, made, all.halfBand, limitDb) }
}
