import type { Judgement, RuleSet } from '../rules'
import { kindInfo, type MeasurePoint, type ModelSheet, type Measurand } from '../sheet'
import { comparability, type Difference } from './comparability'
import type { History } from './history'
import type { TakenReading } from './takenReading'
import type { Phase, RowTaken } from './jobEvent'
import { requirementOf, judgeRequirement, type Requirement } from './judgeReading'

export interface CellState {
  readonly want: Measurand
  readonly requirement: Requirement
  readonly latest: TakenReading | null
  readonly judgement: Judgement | null
}

export interface RowState {
  readonly point: MeasurePoint
  readonly cells: readonly CellState[]
  readonly complete: boolean
  readonly stale: boolean
  /** row that the shown readings came from, or null */
  readonly row: RowTaken | null
}

/** The matrix of one phase: the latest reading of every cell, judged. */
export function matrixState(sheet: ModelSheet, rules: RuleSet, past: History, phase: Phase): RowState[] {
  return sheet.matrix.map(point => {
    const cells = point.wants.map(want => cellState(sheet, rules, past, phase, point, want))
    const taken = cells.flatMap(c => (c.latest ? [c.latest] : []))
    return {
      point,
      cells,
      complete: taken.length === cells.length,
      // As found is history: what was turned since does not spoil it. As left must still hold.
      stale: phase === 'as-left' && taken.some(t => t.staleBy.length > 0),
      row: taken.at(-1)?.row ?? null,
    }
  })
}

function cellState(
  sheet: ModelSheet,
  rules: RuleSet,
  past: History,
  phase: Phase,
  point: MeasurePoint,
  want: Measurand,
): CellState {
  const requirement = requirementOf(sheet, rules, want, point.state)
  const latest =
    past.readings.findLast(
      t =>
        t.struck === null &&
        t.row.phase === phase &&
        t.row.stepId === null &&
        t.row.pointId === point.id &&
        t.reading.quantity === want.quantity,
    ) ?? null
  return {
    want,
    requirement,
    latest,
    judgement: latest ? judgeRequirement(latest.reading, requirement) : null,
  }
}

export interface ComparedCell {
  readonly point: MeasurePoint
  readonly want: Measurand
  readonly before: CellState
  readonly after: CellState
  /** empty = the two may stand side by side; null = one of them is missing */
  readonly differences: readonly Difference[] | null
}

/** Before and after, cell by cell, with the conditions that differ. */
export function compareMatrix(
  { kind }: Pick<ModelSheet, 'kind'>,
  before: readonly RowState[],
  after: readonly RowState[],
): ComparedCell[] {
  const { warmUpS } = kindInfo(kind)
  return before.flatMap((rowBefore, i) =>
    rowBefore.cells.map((cell, j) => {
      const other = after[i]!.cells[j]!
      const differences =
        cell.latest && other.latest ? comparability(cell.latest, other.latest, warmUpS) : null
      return { point: rowBefore.point, want: cell.want, before: cell, after: other, differences }
    }),
  )
}
