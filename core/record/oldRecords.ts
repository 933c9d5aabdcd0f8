import type { Quantity } from '../quantity'
import type { ModelSheet } from '../sheet'
import type { TableRow } from './adjusterTable'
import {
  OLD_RECORD_COLUMNS,
  readReading,
  type Cells,
  type Column,
  type OldLine,
  type OldProblem,
  type OldReading,
} from './oldReading'

/** One visit of one set, from one or more rows of the table (the heading is row 1). */
export interface OldRecord {
  readonly rows: readonly number[]
  readonly owner: string
  readonly contact: string
  readonly sheet: ModelSheet
  readonly serial: string
  readonly complaint: string
  readonly notes: readonly string[]
  /** noon of the day [epoch ms, UTC]: the hour is not known */
  readonly receivedMs: number
  readonly returnedMs: number
  readonly readings: readonly OldReading[]
}

export interface OldRecords {
  readonly records: readonly OldRecord[]
  readonly problems: readonly OldProblem[]
}

/** What the names in a table mean. */
export interface OldNames {
  readonly sheets: readonly ModelSheet[]
  /** by name in lower case, in any language */
  readonly quantities: ReadonlyMap<string, Quantity>
  readonly nowMs: number
}

/**
 * Visits from a table that somebody kept before. Rows of one owner, model, serial number and day of receipt
 * are one visit. It is taken whole or not at all: rows that cannot be read are told by number.
 * A reading belongs to a row of the sheet only where the table says enough to name one; mode and power may be
 * missing where the sheet has one mode, or no low power.
 * @param rows cells by heading, unknown headings are left alone
 */
export function oldRecords(rows: readonly TableRow[], names: OldNames): OldRecords {
  const visits = new Map<string, { row: number; cells: Cells }[]>()
  rows.forEach((raw, i) => {
    const cells = cellsOf(raw)
    if (Object.keys(cells).length === 0) return
    const key = [cells.owner, cells.model, cells.serial, cells.received].join('\u0000').toLowerCase()
    visits.set(key, [...(visits.get(key) ?? []), { row: i + 2, cells }])
  })
  const records: OldRecord[] = []
  const problems: OldProblem[] = []
  for (const visit of visits.values()) {
    const read = readVisit(visit, names)
    if ('problems' in read) problems.push(...read.problems)
    else records.push(read)
  }
  return { records, problems }
}

function cellsOf(raw: TableRow): Cells {
  const cells: Partial<Record<Column, string>> = {}
  for (const [heading, cell] of Object.entries(raw)) {
    const column = heading.trim().toLowerCase() as Column
    if (OLD_RECORD_COLUMNS.includes(column) && cell?.trim()) cells[column] = cell.trim()
  }
  return cells
}

type Lines = readonly OldLine[]

function readVisit(lines: Lines, names: OldNames): OldRecord | { readonly problems: OldProblem[] } {
  const problems: OldProblem[] = []
  const { row } = lines[0]!
  const tell = (column: Column, why: OldProblem['why'], value = '') =>
    void problems.push({ row, column, why, value })
  const once = (column: Column): string => {
    const found = lines.filter(l => l.cells[column] !== undefined)
    const other = found.find(l => l.cells[column] !== found[0]!.cells[column])
    if (other) problems.push({ row: other.row, column, why: 'differs', value: other.cells[column]! })
    return found[0]?.cells[column] ?? ''
  }
  const needed = (column: Column): string => {
    const value = once(column)
    if (value === '') tell(column, 'missing')
    return value
  }
  const dayMs = (column: Column): number => {
    const text = needed(column)
    const ms = noonOf(text)
    if (text !== '' && ms === null) tell(column, 'no-date', text)
    if (ms !== null && ms > names.nowMs) tell(column, 'to-come', text)
    return ms ?? 0
  }
  const [owner, model, serial] = [needed('owner'), needed('model'), needed('serial')]
  const sheet = sheetOf(names.sheets, model)
  if (model !== '' && !sheet) tell('model', 'unknown', model)
  const [receivedMs, returnedMs] = [dayMs('received'), dayMs('returned')]
  if (returnedMs < receivedMs && problems.length === 0) tell('returned', 'before', once('returned'))
  const readings = lines.flatMap(line => {
    const read = sheet ? readReading(line, sheet, names.quantities) : null
    if (read && 'why' in read) problems.push(read)
    return read && !('why' in read) ? [read] : []
  })
  const [contact, complaint] = [once('contact'), once('complaint')]
  if (problems.length > 0) return { problems }
  return {
    rows: lines.map(l => l.row),
    owner,
    contact,
    sheet: sheet!,
    serial,
    complaint,
    notes: [...new Set(lines.flatMap(l => l.cells.note ?? []))],
    receivedMs,
    returnedMs,
    readings,
  }
}

function sheetOf(sheets: readonly ModelSheet[], model: string): ModelSheet | null {
  const wanted = model.toLowerCase()
  return sheets.find(s => s.model.toLowerCase() === wanted || s.id === wanted) ?? null
}

/** A real day, written as in 1998-04-30. */
function noonOf(text: string): number | null {
  if (!/^\d{4}-\d\d-\d\d$/.test(text)) return null
  const ms = Date.parse(`${text}T12:00:00Z`)
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(text) ? ms : null
}
