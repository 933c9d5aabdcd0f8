import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { HEX_BYTE, QUANTITIES, shownDecimals, standardToBound } from '#core/quantity'
import type { Stage } from '#core/work'
import { decidingRange, type CellState, type ComparedCell } from '#core/run'
import { showAgainst, windowWords } from './verdictWords'
import type { GaugeValues } from './gaugeScale'

/** As found, as left, or one of them: what this job has a phase for. */
export type Side = 'before' | 'after'
export const sidesOf = (stages: readonly Stage[]): readonly Side[] => [
  ...(stages.includes('as-found') ? (['before'] as const) : []),
  ...(stages.includes('as-left') ? (['after'] as const) : []),
]

export const SIDE_WORDS = { before: 'common.asFound', after: 'common.asLeft' } as const

/** What decides the state of a cell: as left, where there is such a phase. */
export const lastSide = (sides: readonly Side[]): Side => sides.at(-1) ?? 'after'

/** Rows of which something was read, whole; a row of which nothing was is named beside them. */
export function readRows(cells: readonly ComparedCell[], sides: readonly Side[]): readonly ComparedCell[] {
  const read = new Set(cells.filter(c => sides.some(s => c[s].latest)).map(c => c.point.id))
  return cells.filter(c => read.has(c.point.id))
}

/** Titles of the others that were asked for, each once. */
export function unreadRows(cells: readonly ComparedCell[], sides: readonly Side[]): string[] {
  const read = new Set(readRows(cells, sides).map(c => c.point.id))
  return [
    ...new Map(
      cells.filter(c => !c.point.isOptional && !read.has(c.point.id)).map(c => [c.point.id, c.point.title]),
    ).values(),
  ]
}

/** Before and after of one cell as a fork gauge shows them, in the unit of the bench. */
export function compareGauge(c: ComparedCell): GaugeValues {
  const { requirement } = c.after
  const factor = requirement.nominalHz === null ? QUANTITIES[c.want.quantity].perSi : 1
  const scale = (v: number | null | undefined) =>
    v == null ? null : (v - (requirement.nominalHz ?? 0)) * factor
  const u = c.after.latest?.reading.standardUncertainty
  const { low, high } = decidingRange(requirement)
  return {
    low: scale(low),
    high: scale(high),
    aim: scale(requirement.window?.aim),
    asFound: scale(c.before.latest?.reading.value),
    now: scale(c.after.latest?.reading.value),
    bound: u == null ? null : standardToBound(u) * factor,
    signed: requirement.nominalHz !== null,
  }
}

/** Whether anything is asked of the cell. */
export function isJudged(c: ComparedCell): boolean {
  return c.before.requirement.window !== null || c.before.requirement.limit !== null
}

export function cellName(c: ComparedCell): string {
  return c.before.requirement.nominalHz === null ? quantityLabel(c.want.quantity) : t('figure.frequencyError')
}

export function shownCell(cell: CellState) {
  return cell.latest
    ? showAgainst(
        cell.latest.reading,
        cell.want.quantity,
        cell.requirement.nominalHz,
        cell.want.menu ?? HEX_BYTE,
      )
    : null
}

export function gaugeDecimals(c: ComparedCell): number {
  return shownDecimals(c.after.latest?.reading.standardUncertainty ?? null, c.want.quantity)
}

/** What a cell is held against, window and limit taken together; empty = nothing is asked of it. */
export function rangeWords({ after: { requirement }, want }: ComparedCell): string {
  const { low, high } = decidingRange(requirement)
  return low === null && high === null ? '' : windowWords(low, high, want.quantity, requirement.nominalHz)
}
