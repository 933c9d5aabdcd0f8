import Papa from 'papaparse'
import { withAdjusterTable, type TableProblem, type TableRow } from '#core/record'
import type { Adjuster } from '#core/sheet'
import { t, type MessageCode } from '#shared/i18n'

const PROBLEM_WORDS: Readonly<Record<TableProblem['why'], MessageCode>> = {
  'no-designator': 'sheet.hasNoDesignator',
  'unknown-kind': 'sheet.hasAnUnknownKind',
  'unknown-role': 'sheet.hasAnUnknownRole',
  'named-twice': 'sheet.namesOneTwice',
  'too-long': 'sheet.isTooLong',
}
/** Rows with problems that are named; more than these say the same. */
const MAX_NAMED = 3

export interface TableImport {
  /** null = nothing to change */
  readonly adjusters: readonly Adjuster[] | null
  readonly words: string
  readonly isWhole: boolean
}

/** Adjusters from a table with a heading line, put with those that are there; says what was made of it. */
export function importAdjusterTable(text: string, before: readonly Adjuster[]): TableImport {
  const { data, errors } = Papa.parse<TableRow>(text, { header: true, skipEmptyLines: 'greedy' })
  if (data.length === 0) {
    const message = errors[0]?.message ?? t('sheet.theTableIsEmpty')
    return {
      adjusters: null,
      words: t('sheet.nothingImportedTheFirstLineNames', { message }),
      isWhole: false,
    }
  }
  const { adjusters, problems, added, changed } = withAdjusterTable(before, data)
  const words = [
    t('sheet.addedUpdated', { added, changed }),
    ...problems.slice(0, MAX_NAMED).map(p =>
      t('sheet.tableRowProblem', {
        row: p.row,
        table: t(PROBLEM_WORDS[p.why]),
        what: p.value ? ` ("${p.value}")` : '',
      }),
    ),
  ].join(' ')
  return { adjusters: added + changed > 0 ? adjusters : null, words, isWhole: problems.length === 0 }
}
