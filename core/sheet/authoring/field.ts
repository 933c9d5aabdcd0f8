import { message } from '../../message'
import { CoreError } from '../../errors'
import type {
  Adjuster,
  BoardPosition,
  ModelSheet,
  Oscillator,
  SpecLine,
  Step,
  TestPoint,
} from '../modelSheet'

/** What a field of a sheet can hold. */
export type FieldValue = string | number | null | readonly string[] | BoardPosition

/** One correctable field: what it belongs to, and its name. Written "adjuster/CT2/where". */
export interface FieldAddress {
  readonly part: FieldPart
  readonly id: string
  readonly field: string
}

export const FIELD_PARTS = ['adjuster', 'step', 'oscillator', 'test-point', 'specification'] as const
export type FieldPart = (typeof FIELD_PARTS)[number]

/** How a field is typed. */
export type FieldKind =
  'text' | 'optional-text' | 'seconds' | 'designators' | 'position' | 'role' | 'raised-by' | 'modes'

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
    role: 'role',
    raisedBy: 'raised-by',
    modes: 'modes',
  },
  'step': {
    title: 'text',
    instruction: 'text',
    why: 'text',
    adjusters: 'designators',
    keyDownLimitS: 'seconds',
  },
  'oscillator': { adjuster: 'optional-text' },
  'test-point': {
    name: 'text',
    where: 'text',
    expected: 'text',
    caution: 'optional-text',
    board: 'position',
  },
  'specification': { value: 'text' },
}

type Holder = Adjuster | Step | Oscillator | TestPoint | SpecLine
/** Where the parts of each kind stand in a sheet. */
const LISTS: Readonly<Record<FieldPart, PartList>> = {
  'adjuster': topList('adjusters'),
  'step': topList('procedure'),
  'oscillator': {
    of: sheet => sheet.scheme?.oscillators,
    withList: (sheet, list) =>
      sheet.scheme
        ? { ...sheet, scheme: { ...sheet.scheme, oscillators: list as readonly Oscillator[] } }
        : sheet,
  },
  'test-point': topList('testPoints'),
  'specification': topList('specification'),
}
interface PartList {
  readonly of: (sheet: ModelSheet) => readonly Holder[] | undefined
  readonly withList: (sheet: ModelSheet, list: readonly Holder[]) => ModelSheet
}
function topList(key: 'adjusters' | 'procedure' | 'testPoints' | 'specification'): PartList {
  return { of: sheet => sheet[key], withList: (sheet, list) => ({ ...sheet, [key]: list }) }
}
const ID: Readonly<Record<FieldPart, string>> = {
  'adjuster': 'designator',
  'step': 'id',
  'oscillator': 'id',
  'test-point': 'id',
  'specification': 'what',
}
/** A field of an adjuster that says nothing is not there. */
const LEFT_OUT: readonly FieldKind[] = ['raised-by', 'modes']

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
  const isGone = value === null && LEFT_OUT.includes(fieldKind(path))
  const put = (h: Holder): Holder => {
    const { [field]: _before, ...rest } = h as unknown as Record<string, unknown>
    return (isGone ? rest : { ...h, [field]: value }) as unknown as Holder
  }
  return LISTS[part].withList(
    sheet,
    holders(sheet, part).map(h => (idOf(h, part) === id ? put(h) : h)),
  )
}

function holders(sheet: ModelSheet, part: FieldPart): readonly Holder[] {
  return LISTS[part].of(sheet) ?? []
}

function idOf(holder: Holder, part: FieldPart): string {
  return (holder as unknown as Record<string, string>)[ID[part]]!
}
