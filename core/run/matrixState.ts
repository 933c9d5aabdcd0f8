import { channelHz, planOf, type Judgement, type OfPlan, type RuleSet } from '../rules'
import {
  kindInfo,
  modulationOf,
  operatingPoint,
  type MeasurePoint,
  type ModelSheet,
  type Measurand,
} from '../sheet'
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
  /** something of it is still to be read, or read again */
  readonly isOpen: boolean
  readonly stale: boolean
  /** row that the shown readings came from, or null */
  readonly row: RowTaken | null
}

/** The matrix of one phase: the latest reading of every cell, judged. */
export function matrixState(sheet: ModelSheet, rules: RuleSet, past: History, phase: Phase): RowState[] {
  return sheet.matrix.map(point => {
    const cells = point.wants.map(want => cellState(sheet, rules, past, phase, point, want))
    const taken = cells.flatMap(c => (c.latest ? [c.latest] : []))
    const complete = taken.length === cells.length
    // As found is history: what was turned since does not spoil it. As left must still hold.
    const stale = phase === 'as-left' && taken.some(t => t.staleBy.length > 0)
    return {
      point,
      cells,
      complete,
      isOpen: stale || (!complete && !point.isOptional),
      stale,
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
  /** a row of what the set came as, which what it is now does not have */
  readonly isGone: boolean
}

/**
 * Before and after, cell by cell, with the conditions that differ. The rows may be those of two sheets, what
 * the set came as and what it leaves as: rows that are read alike stand side by side, and what one of them
 * lacks was not measured there.
 */
export function compareMatrix(
  { now, found }: { readonly now: OfBand; readonly found: OfBand },
  before: readonly RowState[],
  after: readonly RowState[],
): ComparedCell[] {
  const { warmUpS } = kindInfo(now.kind)
  const pairs = paired(
    before.map(row => ({ row, key: conditionsOf(found, row) })),
    after.map(row => ({ row, key: conditionsOf(now, row) })),
  )
  return pairs.flatMap(([rowBefore, rowAfter]) => {
    const point = (rowAfter ?? rowBefore)!.point
    const quantities = new Set([...wantsOf(rowBefore), ...wantsOf(rowAfter)].map(w => w.quantity))
    return [...quantities].map((quantity): ComparedCell => {
      const [a, b] = [rowBefore, rowAfter].map(r => r?.cells.find(c => c.want.quantity === quantity) ?? null)
      const differences = a?.latest && b?.latest ? comparability(a.latest, b.latest, warmUpS) : null
      return {
        point,
        want: (b ?? a)!.want,
        before: a ?? notMeasured(b!),
        after: b ?? notMeasured(a!),
        differences,
        isGone: rowAfter === null,
      }
    })
  })
}

const wantsOf = (row: RowState | null) => row?.cells.map(c => c.want) ?? []
const notMeasured = (cell: CellState): CellState => ({ ...cell, latest: null, judgement: null })

type OfBand = OfPlan & Pick<ModelSheet, 'kind'>
/** A channel is its frequency: the same number may be another one on another plan. */
function conditionsOf(sheet: OfBand, { point: { state } }: RowState): string {
  const { channel, audio: _audio, ...others } = operatingPoint(state)
  const hz = channel === null ? null : channelHz(planOf(sheet), channel)
  // A sheet that was kept in the database has its fields in another order.
  return JSON.stringify(
    Object.entries({ ...others, modulation: modulationOf(state), also: state.also, hz }).sort(),
  )
}

interface Keyed {
  readonly row: RowState
  readonly key: string
}
/** Rows under the same conditions, in the order of the later ones; those without a counterpart follow. */
function paired(before: readonly Keyed[], after: readonly Keyed[]): [RowState | null, RowState | null][] {
  const left = new Set(before)
  const take = ({ row, key }: Keyed) => {
    const alike = [...left].filter(b => b.key === key)
    const found = alike.find(b => b.row.point.id === row.point.id) ?? alike[0]
    if (found) left.delete(found)
    return found?.row ?? null
  }
  const pairs = after.map((a): [RowState | null, RowState | null] => [take(a), a.row])
  return [...pairs, ...[...left].map(({ row }): [RowState, null] => [row, null])]
}
