import { message } from '../../message'
import { CoreError } from '../../errors'
import type { Adjuster, BoardPosition, ModelSheet, SpecLine, Step, TestPoint } from '../modelSheet'

/** What a field of a sheet can hold. */
export type FieldValue = string | number | null | readonly string[] | BoardPosition

/** One correctable field: what it belongs to, and its name. Written "adjuster/CT2/where". */
export interface FieldAddress {
  readonly part: FieldPart
  readonly id: string
  readonly field: string
}

export const FIELD_PARTS = ['adjuster', 'step', 'test-point', 'specification'] as const
export type FieldPart = (typeof FIELD_PARTS)[number]

/** How a field is typed. */
export type FieldKind = 'text' | 'optional-text' | 'seconds' | 'designators' | 'position'

/** Fields that can be corrected on the job; everything else is changed in the editor of the sheet. */
export const CORRECTABLE_FIELDS: Readonly<Record<FieldPart, Readonly<Record<string, FieldKind>>>> = {
  'adjuster': {
    name: 'text',
    where: 'text',
    turn: 'text',
    tool: 'text',
    moves: 'text',
    caution: 'optional-text',
    board: 'position',
  },
  'step': {
    title: 'text',
    instruction: 'text',
    why: 'text',
    adjusters: 'designators',
    keyDownLimitS: 'seconds',
  },
  'test-point': {
    name: 'text',
    where: 'text',
    expected: 'text',
    caution: 'optional-text',
    board: 'position',
  },
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

export function fieldPath(part: FieldPart, id: string, field: string): string {
  return `${part}/${id}/${field}`
}

/** @throws {CoreError} unknown-field: no such part or field */
export function fieldAddress(path: string): FieldAddress {
  const first = path.indexOf('/')
  const last = path.lastIndexOf('/')
  const part = path.slice(0, first) as FieldPart
  const field = path.slice(last + 1)
  if (last <= first || !FIELD_PARTS.includes(part) || !(field in CORRECTABLE_FIELDS[part]))
    throw new CoreError('unknown-field', message('error.noSuchField', { field: path }))
  return { part, id: path.slice(first + 1, last), field }
}

export function fieldKind(path: string): FieldKind {
  const { part, field } = fieldAddress(path)
  return CORRECTABLE_FIELDS[part][field]!
}

/** @throws {CoreError} unknown-field */
export function fieldValue(sheet: ModelSheet, path: string): FieldValue {
  const { part, id, field } = fieldAddress(path)
  const holder = holders(sheet, part).find(h => idOf(h, part) === id)
  if (!holder)
    throw new CoreError('unknown-field', message('error.noEntry', { model: sheet.model, part, id }))
  return (holder as unknown as Record<string, FieldValue>)[field] ?? null
}

/**
 * The sheet with one field changed; everything else is the same object as before.
 * @throws {CoreError} unknown-field
 */
export function withField(sheet: ModelSheet, path: string, value: FieldValue): ModelSheet {
  const { part, id, field } = fieldAddress(path)
  fieldValue(sheet, path)
  return {
    ...sheet,
    [LISTS[part]]: holders(sheet, part).map(h => (idOf(h, part) === id ? { ...h, [field]: value } : h)),
  }
}

function holders(sheet: ModelSheet, part: FieldPart): readonly Holder[] {
  return sheet[LISTS[part]] ?? []
}

function idOf(holder: Holder, part: FieldPart): string {
  return (holder as unknown as Record<string, string>)[ID[part]]!
}
