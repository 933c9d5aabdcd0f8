import { ADJUSTER_KINDS, ADJUSTER_ROLES, type Adjuster, type AdjusterKind, type AdjusterRole } from '../sheet'

/** A row of a table by its headings, as a reader of CSV gives it. */
export type TableRow = Readonly<Record<string, string | undefined>>

/** A row that could not be taken: its number in the file (the heading is row 1), and why. */
export interface TableProblem {
  readonly row: number
  readonly why: 'no-designator' | 'unknown-kind' | 'unknown-role' | 'named-twice' | 'too-long'
  readonly value: string
}

export interface AdjusterTable {
  readonly adjusters: readonly Adjuster[]
  readonly problems: readonly TableProblem[]
  readonly added: number
  readonly changed: number
}

const TEXTS = { name: 200, moves: 300, where: 300, turn: 300, tool: 200 } as const
const LONGEST_DESIGNATOR = 14
const MIDDLE = { x: 0.5, y: 0.5 }
/** What a kind mostly is, when the table does not say. */
const USUAL_ROLE: Readonly<Record<AdjusterKind, AdjusterRole>> = {
  'trimmer': 'reference',
  'core': 'coil',
  'preset': 'carrier-preset',
  'fixed-part': 'coil',
  'menu-value': 'power-control',
  'control': 'power-control',
}

/**
 * Adjusters after a table was read in: rows of a designator that is there bring it up to date (empty cells
 * change nothing), others are added at the end. A row that cannot be taken is told and leaves everything else
 * as it was.
 * @param rows cells by heading; headings in any case and order, unknown ones are left alone
 */
export function withAdjusterTable(adjusters: readonly Adjuster[], rows: readonly TableRow[]): AdjusterTable {
  const out = [...adjusters]
  const problems: TableProblem[] = []
  const seen = new Set<string>()
  let [added, changed] = [0, 0]
  rows.forEach((raw, i) => {
    const row = lowered(raw)
    const row1 = i + 2
    const problem = problemOf(row, seen)
    if (problem) return void problems.push({ row: row1, ...problem })
    const designator = row.designator!
    seen.add(designator)
    const at = out.findIndex(a => a.designator === designator)
    if (at < 0) added++
    else changed++
    const made = withCells(at < 0 ? fresh(designator, row.kind as AdjusterKind | undefined) : out[at]!, row)
    if (at < 0) out.push(made)
    else out[at] = made
  })
  return { adjusters: out, problems, added, changed }
}

function lowered(raw: TableRow): Record<string, string | undefined> {
  return Object.fromEntries(
    Object.entries(raw).map(([k, v]) => [k.trim().toLowerCase(), v?.trim() || undefined]),
  )
}

function problemOf(
  row: Record<string, string | undefined>,
  seen: ReadonlySet<string>,
): Omit<TableProblem, 'row'> | null {
  const { designator, kind, role } = row
  if (!designator) return { why: 'no-designator', value: '' }
  if (designator.length > LONGEST_DESIGNATOR) return { why: 'too-long', value: designator }
  if (seen.has(designator)) return { why: 'named-twice', value: designator }
  if (kind && !ADJUSTER_KINDS.includes(kind as AdjusterKind)) return { why: 'unknown-kind', value: kind }
  if (role && !ADJUSTER_ROLES.includes(role as AdjusterRole)) return { why: 'unknown-role', value: role }
  const long = Object.entries(TEXTS).find(([k, most]) => (row[k]?.length ?? 0) > most)
  return long ? { why: 'too-long', value: long[0] } : null
}

function fresh(designator: string, kind: AdjusterKind = 'preset'): Adjuster {
  return {
    designator,
    kind,
    role: USUAL_ROLE[kind],
    name: designator,
    moves: '',
    where: '',
    turn: '',
    tool: '',
    caution: null,
    board: MIDDLE,
  }
}

function withCells(adjuster: Adjuster, row: Record<string, string | undefined>): Adjuster {
  const texts = Object.fromEntries(Object.keys(TEXTS).flatMap(k => (row[k] ? [[k, row[k]]] : [])))
  return {
    ...adjuster,
    ...texts,
    ...(row.kind ? { kind: row.kind as AdjusterKind } : {}),
    ...(row.role ? { role: row.role as AdjusterRole } : {}),
    ...(row.caution ? { caution: row.caution } : {}),
  }
}
