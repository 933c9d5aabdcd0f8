import type { MessageCode } from '#shared/i18n'
import {
  adjusterReferences,
  stepReferences,
  withAdjusterRenamed,
  withStepRenamed,
  type Adjuster,
  type ModelSheet,
  type SheetProblem,
  type SheetReference,
  type Step,
} from '#core/sheet'

/** One entry of a list under another name, or gone; null = neither. */
export type ListEdit =
  | { readonly kind: 'renamed'; readonly before: string; readonly after: string }
  | { readonly kind: 'removed'; readonly name: string }
  | null

/** What a person did to a list of named things, from before and after. */
export function listEdit(before: readonly string[], after: readonly string[]): ListEdit {
  if (after.length === before.length - 1) {
    const name = before.find(n => !after.includes(n))
    return name === undefined ? null : { kind: 'removed', name }
  }
  if (after.length !== before.length) return null
  const changed = before.flatMap((n, i) => (n === after[i] ? [] : [i]))
  const [at] = changed
  // An order that was changed keeps all names.
  return changed.length === 1 && !after.includes(before[at!]!)
    ? { kind: 'renamed', before: before[at!]!, after: after[at!]! }
    : null
}

/** The sheet with its adjusters as they were edited: a new designator is carried through every reference. */
export function withAdjusters(sheet: ModelSheet, adjusters: readonly Adjuster[]): ModelSheet {
  const edit = listEdit(
    sheet.adjusters.map(a => a.designator),
    adjusters.map(a => a.designator),
  )
  const edited = { ...sheet, adjusters }
  return edit?.kind === 'renamed' ? withAdjusterRenamed(edited, edit.before, edit.after) : edited
}

/** The same for the procedure. */
export function withProcedure(sheet: ModelSheet, procedure: readonly Step[]): ModelSheet {
  const edit = listEdit(
    sheet.procedure.map(s => s.id),
    procedure.map(s => s.id),
  )
  const edited = { ...sheet, procedure }
  return edit?.kind === 'renamed' ? withStepRenamed(edited, edit.before, edit.after) : edited
}

/** What would be left hanging if an entry went; empty = it may go at once. */
export function leftHanging(
  sheet: ModelSheet,
  list: 'adjusters' | 'procedure',
  name: string,
): SheetReference[] {
  return list === 'adjusters' ? adjusterReferences(sheet, name) : stepReferences(sheet, name)
}

/** Parts of the editor, in their order, with their names. */
export const SHEET_TABS = {
  'set': 'sheet.set',
  'adjusters': 'sheet.adjusters',
  'board': 'sheet.board',
  'as-found': 'common.asFound',
  'procedure': 'sheet.procedure',
  'oscillators': 'sheet.oscillators',
  'other': 'sheet.other',
} as const satisfies Record<string, MessageCode>
export type SheetTab = keyof typeof SHEET_TABS

const TAB_OF: Readonly<Record<SheetProblem['at']['kind'], SheetTab>> = {
  'sheet': 'set',
  'adjuster': 'adjusters',
  'as-found': 'as-found',
  'row': 'as-found',
  'power-control': 'as-found',
  'procedure': 'procedure',
  'step': 'procedure',
  'oscillator': 'oscillators',
  'frequency': 'oscillators',
  'test-point': 'other',
  'school': 'other',
  'band': 'set',
}

/** Part of the editor in which a problem is put right, and the step that it is in. */
export function problemPlace({ at }: SheetProblem): {
  readonly tab: SheetTab
  readonly stepId: string | null
} {
  return { tab: TAB_OF[at.kind], stepId: at.kind === 'step' ? at.name : null }
}
