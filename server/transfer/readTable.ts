import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { QUANTITY_NAMES, quantityInfo, type Quantity } from '#core/quantity'
import { OLD_RECORD_COLUMNS, type OldProblem, type TableRow } from '#core/record'
import { inEveryLanguage } from '#shared/i18n/everyLanguage'
import { ArchiveError } from './archive'

/** What a workshop can hold of old records in one table [bytes]; more is several tables. */
const MAX_BYTES = 64 * 1024 * 1024

/**
 * Rows of a CSV file by heading; comma or semicolon, UTF-8 or, of an older spreadsheet, Windows-1252.
 * @throws {ArchiveError} in words: not a table, or none of the headings
 */
export function readTable(file: string): TableRow[] {
  const bytes = readFileSync(file)
  if (bytes.length > MAX_BYTES) throw new ArchiveError('The table has more than 64 MB: make several of it.')
  const { data, meta } = Papa.parse<TableRow>(decoded(bytes), { header: true, skipEmptyLines: 'greedy' })
  const headings = (meta.fields ?? []).map(f => f.trim().toLowerCase())
  const missing = ['owner', 'model', 'serial', 'received', 'returned'].filter(h => !headings.includes(h))
  if (missing.length > 0)
    throw new ArchiveError(
      `The first line of the table has no ${missing.join(', ')}. Its headings: ${OLD_RECORD_COLUMNS.join(', ')}.`,
    )
  return data
}

function decoded(bytes: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** Quantities by their names here: as in the exchange formats, and as they are shown, in each language. */
export const QUANTITIES_BY_NAME: ReadonlyMap<string, Quantity> = new Map(
  QUANTITY_NAMES.flatMap(quantity =>
    [quantity, ...inEveryLanguage(quantityInfo(quantity).label)].map(
      name => [name.toLowerCase(), quantity] as const,
    ),
  ),
)

const WHY: Readonly<Record<OldProblem['why'], string>> = {
  'missing': 'is missing',
  'unknown': 'is not known here',
  'no-date': 'is no day; write it as 1998-04-30',
  'no-value': 'is no value of this quantity',
  'differs': 'differs from another row of this visit',
  'before': 'is before the day of receipt',
  'to-come': 'is still to come',
}

/** Where a name has to be one of many, where they stand. */
const NAMES: Readonly<Partial<Record<OldProblem['column'], string>>> = {
  model: '; write it as on the page of sheets',
  quantity: '; write it as on the screen, or as in the CSV of readings',
  power: '; high or low',
  phase: '; as-found or as-left',
}

export function problemWords({ row, column, why, value }: OldProblem): string {
  const names = why === 'unknown' ? (NAMES[column] ?? '') : ''
  return `row ${row}: ${column}${value === '' ? '' : ` "${value}"`} ${WHY[why]}${names}`
}
