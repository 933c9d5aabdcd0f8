import { CoreError } from '../errors'
import { parseTyped, type Bound, type Quantity } from '../quantity'
import { MODES, type Mode } from '../rules'
import { isFullPower, isLeastPower, type MeasurePoint, type ModelSheet, type SetState } from '../sheet'

/** Headings of a table of old records; any order, any case. */
export const OLD_RECORD_COLUMNS = [
  'owner',
  'contact',
  'model',
  'serial',
  'received',
  'returned',
  'complaint',
  'note',
  'phase',
  'mode',
  'channel',
  'power',
  'quantity',
  'value',
  'instrument',
] as const
export type Column = (typeof OLD_RECORD_COLUMNS)[number]
export type Cells = Readonly<Partial<Record<Column, string>>>

export const OLD_PHASES = ['as-found', 'as-left'] as const
export type OldPhase = (typeof OLD_PHASES)[number]

/** A reading as it was written down; `point` null = the sheet has no such row, or more than one. */
export interface OldReading {
  readonly phase: OldPhase
  readonly point: MeasurePoint | null
  readonly quantity: Quantity
  /** [SI] */
  readonly value: number
  readonly bound: Bound | null
  readonly channel: number | null
  readonly instrument: string | null
  /** as it stood in the table */
  readonly written: string
}

/** A row that could not be taken, and why. Its visit is not taken at all. */
export interface OldProblem {
  readonly row: number
  readonly column: Column
  readonly why: 'missing' | 'unknown' | 'no-date' | 'no-value' | 'differs' | 'before' | 'to-come'
  readonly value: string
}

/** A row of the table, with its number (the heading is row 1). */
export interface OldLine {
  readonly row: number
  readonly cells: Cells
}

/**
 * The reading of a row of the table.
 * @param quantities by name in lower case
 * @returns null for a row that has none
 */
export function readReading(
  { row, cells }: OldLine,
  sheet: ModelSheet,
  quantities: ReadonlyMap<string, Quantity>,
): OldReading | OldProblem | null {
  const problem = (column: Column, why: OldProblem['why']) => ({
    row,
    column,
    why,
    value: cells[column] ?? '',
  })
  if (cells.quantity === undefined && cells.value === undefined) return null
  if (cells.quantity === undefined) return problem('quantity', 'missing')
  if (cells.value === undefined) return problem('value', 'missing')
  const quantity = quantities.get(cells.quantity.toLowerCase())
  if (!quantity) return problem('quantity', 'unknown')
  const phase = OLD_PHASES.find(p => p === cells.phase?.toLowerCase())
  if (!phase) return problem('phase', cells.phase === undefined ? 'missing' : 'unknown')
  const channel = cells.channel === undefined ? null : Number(cells.channel)
  if (channel !== null && !(Number.isInteger(channel) && channel >= 1 && channel <= 400))
    return problem('channel', 'unknown')
  const mode = cells.mode?.toUpperCase() as Mode | undefined
  if (mode !== undefined && !MODES.includes(mode)) return problem('mode', 'unknown')
  const power = cells.power?.toLowerCase()
  if (power !== undefined && !powerNamesOf(sheet).has(power)) return problem('power', 'unknown')
  try {
    const { value, bound } = parseTyped(cells.value, quantity)
    const point = pointOf(sheet, { quantity, channel, mode: mode ?? null, power: power ?? null })
    const written = [cells.mode, cells.channel, cells.power, cells.quantity, cells.value]
      .filter(Boolean)
      .join(', ')
    return {
      phase,
      point,
      quantity,
      value,
      bound: bound ?? null,
      channel,
      instrument: cells.instrument ?? null,
      written,
    }
  } catch (error) {
    if (error instanceof CoreError) return problem('value', 'no-value')
    throw error
  }
}

interface Said {
  readonly quantity: Quantity
  readonly channel: number | null
  readonly mode: Mode | null
  /** in small letters; null = the table is silent */
  readonly power: string | null
}

/** Positions of the power control as a table may name them, each with the rows that it means. */
function powerNamesOf({ matrix, powerNames }: ModelSheet): Map<string, (s: SetState) => boolean> {
  const between = matrix.flatMap(p => p.state.powerPosition ?? [])
  return new Map<string, (s: SetState) => boolean>([
    ...between.map(name => [name.toLowerCase(), (s: SetState) => s.powerPosition === name] as const),
    ...['high', powerNames?.high ?? 'high'].map(name => [name.toLowerCase(), isFullPower] as const),
    ...['low', powerNames?.low ?? 'low'].map(name => [name.toLowerCase(), isLeastPower] as const),
  ])
}

/** The one row of the matrix that this was read in; null = the table does not name one. */
function pointOf(sheet: ModelSheet, { quantity, channel, mode, power }: Said): MeasurePoint | null {
  const states = sheet.matrix.map(p => p.state)
  if (mode === null && new Set(states.map(s => s.mode)).size > 1) return null
  if (power === null && !states.every(isFullPower)) return null
  const isAtPower = power === null ? isFullPower : powerNamesOf(sheet).get(power)!
  const fitting = sheet.matrix.filter(
    ({ state, wants }) =>
      wants.some(w => w.quantity === quantity) &&
      state.channel === channel &&
      (mode === null || state.mode === mode) &&
      isAtPower(state),
  )
  return fitting.length === 1 ? fitting[0]! : null
}
