import { message } from '../../message'
import { CoreError } from '../../errors'
import type { Adjuster, BoardPosition, ModelSheet, SpecLine, Step, TestPoint } from '../modelSheet'

/** What a line of a sheet can hold. */
export type LineValue = string | number | null | readonly string[] | BoardPosition

/** One correctable line: what it belongs to, and its field. Written "adjuster/CT2/where". */
export interface LineAddress {
  readonly part: LinePart
  readonly id: string
  readonly field: string
}

export const LINE_PARTS = ['adjuster', 'step', 'test-point', 'specification'] as const
export type LinePart = (typeof LINE_PARTS)[number]

/** How a line is typed. */
export type LineKind = 'text' | 'optional-text' | 'seconds' | 'designators' | 'place'

/** Lines that can be corrected on the job; everything else is changed in the editor of the sheet. */
export const LINE_FIELDS: Readonly<Record<LinePart, Readonly<Record<string, LineKind>>>> = {
  'adjuster': {
    name: 'text',
    where: 'text',
    turn: 'text',
    tool: 'text',
    moves: 'text',
    caution: 'optional-text',
    board: 'place',
  },
  'step': {
    title: 'text',
    instruction: 'text',
    why: 'text',
    adjusters: 'designators',
    keyDownLimitS: 'seconds',
  },
  'test-point': { name: 'text', where: 'text', expected: 'text', caution: 'optional-text', board: 'place' },
  'specification': { value: 'text' },
}

type Holder = Adjuster | Step | TestPoint | SpecLine
const LISTS = {
  'adjuster': 'adjusters',
  'step': 'procedure',
  'test-point': 'testPoints',
  'specification': 'specification',
} as const
const ID = { 'adjuster': 'designator', 'step': 'id', 'test-point': 'id', 'specification': 'what' } as const

export function lineOf(part: LinePart, id: string, field: string): string {
  return `${part}/${id}/${field}`
}

/** @throws {CoreError} unknown-line: no such part or field */
export function lineAddress(line: string): LineAddress {
  const first = line.indexOf('/')
  const last = line.lastIndexOf('/')
  const part = line.slice(0, first) as LinePart
  const field = line.slice(last + 1)
  if (last <= first || !LINE_PARTS.includes(part) || !(field in LINE_FIELDS[part]))
    throw new CoreError('unknown-line', message('error.noSuchLine', { line }))
  return { part, id: line.slice(first + 1, last), field }
}

export function lineKind(line: string): LineKind {
  const { part, field } = lineAddress(line)
  return LINE_FIELDS[part][field]!
}

/** @throws {CoreError} unknown-line */
export function lineValue(sheet: ModelSheet, line: string): LineValue {
  const { part, id, field } = lineAddress(line)
  const holder = holders(sheet, part).find(h => idOf(h, part) === id)
  if (!holder) throw new CoreError('unknown-line', message('error.noEntry', { model: sheet.model, part, id }))
  return (holder as unknown as Record<string, LineValue>)[field] ?? null
}

/**
 * The sheet with one line changed; everything else is the same object as before.
 * @throws {CoreError} unknown-line
 */
export function withLine(sheet: ModelSheet, line: string, value: LineValue): ModelSheet {
  const { part, id, field } = lineAddress(line)
  lineValue(sheet, line)
  return {
    ...sheet,
    [LISTS[part]]: holders(sheet, part).map(h => (idOf(h, part) === id ? { ...h, [field]: value } : h)),
  }
}

function holders(sheet: ModelSheet, part: LinePart): readonly Holder[] {
  return sheet[LISTS[part]] ?? []
}

function idOf(holder: Holder, part: LinePart): string {
  return (holder as unknown as Record<string, string>)[ID[part]]!
}
