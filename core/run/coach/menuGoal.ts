import {
  HEX_BYTE,
  errorBound,
  expandedUncertainty,
  type Accuracy,
  type MenuFormat,
  type Reading,
} from '../../quantity'
import { entryOfPoint, holdsEntry, type Coverage, type ModelSheet } from '../../sheet'
import type { History } from '../history'
import type { Requirement } from '../judgeReading'
import type { RowState } from '../matrixState'
import type { MenuGoal } from '../menu'
import type { RunState } from '../runState'
import { actsInState } from '../staleBy'

/** Of an instrument that is not known [ratio]. */
const UNKNOWN_BOUND = 0.05

/**
 * What a menu value may make at most: the upper bound of target and limit, with what the instrument cannot
 * tell. null = nothing bounds it above
 * @param accuracy of the instrument at hand, for as long as nothing was read
 * @param latest what was read last, with the accuracy of the meter that it was read on
 */
export function menuGoal(
  { window, limit }: Requirement,
  accuracy: Accuracy | null,
  format: Pick<MenuFormat, 'min' | 'max'> = HEX_BYTE,
  latest: Reading | null = null,
): MenuGoal | null {
  const bounds = [window?.high, limit?.high].filter((b): b is number => b != null)
  if (bounds.length === 0) return null
  const most = Math.min(...bounds)
  const least = Math.max(...[window?.low, limit?.low].filter((b): b is number => b != null))
  const bound = latest ? relativeBound(latest) : accuracy && errorBound(most, accuracy) / most
  return {
    limit: most,
    least: Number.isFinite(least) ? least : null,
    boundRatio: bound ?? UNKNOWN_BOUND,
    isBoundKnown: bound !== null,
    minCode: format.min,
    maxCode: format.max,
  }
}

/** What its meter may be off by [ratio]; null = that is not known. */
function relativeBound(reading: Reading): number | null {
  const expanded = expandedUncertainty(reading)
  return expanded === null || reading.value <= 0 ? null : expanded / reading.value
}

/** An entry of a menu, in the country state whose value is meant. */
export interface EntryAt {
  readonly entry: string
  readonly coverage: Coverage
}

/** The value that an entry was last left at in the run; null = none was written down, or it was set since. */
export function lastCode(sheet: ModelSheet, run: RunState, at: EntryAt): number | null {
  const { adjusters } = sheet
  const procedure = run.steps.map(s => s.step)
  const isOfEntry = (stepId: string, pointId: string) =>
    entryOfPoint({ adjusters, procedure }, stepId, pointId) === at.entry
  const written = run.history.readings.findLast(
    t =>
      t.struck === null &&
      t.reading.quantity === 'menuCode' &&
      t.row.conditions.coverage === at.coverage &&
      t.row.stepId !== null &&
      isOfEntry(t.row.stepId, t.row.pointId),
  )
  return written && !isSetAfter(sheet, run.history, at, written.order) ? written.reading.value : null
}

/** The value that an entry had as found, while nothing says that it was set since. */
export function untouchedCode(
  asFound: readonly RowState[],
  sheet: ModelSheet,
  past: History,
  at: EntryAt,
): number | null {
  return isSetAfter(sheet, past, at, -Infinity) ? null : originalCode(asFound, at)
}

function isSetAfter(sheet: ModelSheet, past: History, { entry, coverage }: EntryAt, order: number): boolean {
  const acts = actsInState(sheet)
  return past.turns.some(t => t.designator === entry && t.order > order && acts(t, coverage))
}

/**
 * The value that an entry had as found: the only way back. Where each country state keeps its own, that of
 * another one is none.
 */
export function originalCode(asFound: readonly RowState[], { entry, coverage }: EntryAt): number | null {
  const rows = asFound.filter(r => holdsEntry(r.point, entry))
  const isByState = new Set(rows.map(r => r.point.state.coverage)).size > 1
  const row = rows.find(r => !isByState || r.point.state.coverage === coverage)
  return row?.cells.find(c => c.want.quantity === 'menuCode')?.latest?.reading.value ?? null
}
