import { midSentence } from '#shared/words/sentence'
import { quantityLabel } from '#shared/words/quantityWords'
import { t } from '#shared/i18n'
import { groupDigits, quantityInfo } from '#core/quantity'
import type { CellState, RowState } from '#core/run'
import type { Verdict } from '#core/rules'
import { reasonWords, showAgainst } from '#shared/words/verdictWords'

/** A judged reading with its row. */
export interface JudgedReading {
  readonly row: RowState
  readonly cell: CellState
  readonly verdict: Verdict
}

/** Readings of one quantity that are outside for the same reason: said once when there are many. */
export interface ReadingGroup {
  readonly verdict: Verdict
  readonly name: string
  readonly shown: string
  readonly why: string
  readonly rows: readonly string[]
}

/** From here on rows that fail alike are told as one. */
const ALIKE = 3

/** Every reading that something is asked of. */
export function judgedReadings(rows: readonly RowState[]): JudgedReading[] {
  return rows.flatMap(row =>
    row.cells.flatMap(cell =>
      cell.latest && (cell.requirement.window || cell.requirement.limit)
        ? [{ row, cell, verdict: cell.judgement!.verdict }]
        : [],
    ),
  )
}

export function readingGroups(readings: readonly JudgedReading[]): ReadingGroup[] {
  const groups = new Map<string, JudgedReading[]>()
  for (const r of readings) {
    const key = `${r.cell.want.quantity} ${r.row.point.state.mode} ${r.verdict} ${beyondWhat(r)}`
    groups.set(key, [...(groups.get(key) ?? []), r])
  }
  return [...groups.values()].flatMap(group => (group.length >= ALIKE ? [together(group)] : group.map(alone)))
}

function together(group: readonly JudgedReading[]): ReadingGroup {
  const [first] = group as [JudgedReading]
  const info = quantityInfo(first.cell.want.quantity)
  const nominal = (r: JudgedReading) => r.cell.requirement.nominalHz
  const values = group
    .map(r =>
      nominal(r) === null
        ? r.cell.latest!.reading.value * info.perSi
        : r.cell.latest!.reading.value - nominal(r)!,
    )
    .sort((a, b) => a - b)
  const decimals = nominal(first) === null ? 2 : 0
  const unit = nominal(first) === null ? info.shownUnit : 'Hz'
  const ends = [values[0]!, values.at(-1)!].map(v => groupDigits(v, decimals, nominal(first) !== null))
  const name = nominal(first) === null ? quantityLabel(first.cell.want.quantity) : t('align.frequencyError')
  return {
    verdict: first.verdict,
    name: t('align.groupRows', {
      mode: first.row.point.state.mode,
      count: group.length,
      lower: midSentence(name),
    }),
    shown: `${ends[0] === ends[1] ? ends[0] : t('align.to', { low: ends[0], high: ends[1] })}\u202f${unit}`,
    why: whyOf(furthest(group), true),
    rows: group.map(r => r.row.point.title),
  }
}

function alone(r: JudgedReading): ReadingGroup {
  const { value, unit } = showAgainst(
    r.cell.latest!.reading,
    r.cell.want.quantity,
    r.cell.requirement.nominalHz,
  )
  const quantity =
    r.cell.requirement.nominalHz === null ? quantityLabel(r.cell.want.quantity) : t('align.frequencyErrorOf')
  const { title } = r.row.point
  const name = title.toLowerCase().includes(quantity.toLowerCase())
    ? title
    : `${title}, ${midSentence(quantity)}`
  return { verdict: r.verdict, name, shown: `${value}\u202f${unit}`, why: whyOf(r), rows: [title] }
}

/** What it is held against: rows that fail alike fail the same bound, however far. */
function beyondWhat({ cell, verdict }: JudgedReading): string {
  const leading = cell.judgement!.reasons.find(r => r.verdict === verdict)
  const nominal = cell.requirement.nominalHz ?? 0
  return JSON.stringify([
    leading?.rule,
    leading?.limitId,
    (leading?.low ?? 0) - nominal,
    (leading?.high ?? 0) - nominal,
  ])
}

function furthest(group: readonly JudgedReading[]): JudgedReading {
  const off = (r: JudgedReading) =>
    Math.abs(r.cell.latest!.reading.value - (r.cell.requirement.nominalHz ?? 0))
  const sign = group[0]!.verdict === 'below' && group[0]!.cell.requirement.nominalHz === null ? -1 : 1
  return group.reduce((a, b) => (sign * off(b) > sign * off(a) ? b : a))
}

/** The reason that led to the verdict, not the first that was weighed. */
function whyOf({ cell, verdict }: JudgedReading, ofSeveral = false): string {
  const leading = cell.judgement!.reasons.findIndex(r => r.verdict === verdict)
  return (
    reasonWords(cell.judgement!, cell.want.quantity, cell.requirement, cell.latest!.reading, { ofSeveral })[
      Math.max(0, leading)
    ] ?? ''
  )
}
