import { ref } from 'vue'
import {
  withoutAdjuster,
  withoutStep,
  type Adjuster,
  type ModelSheet,
  type SheetReference,
  type Step,
} from '#core/sheet'
import { leftHanging, listEdit, withAdjusters, withProcedure } from './sheetEdits'

type NamedList = 'adjusters' | 'procedure'

/**
 * Adjusters and steps have names that other places of the sheet use: a rename carries through, and what
 * others name is removed only once that was seen.
 * @param change writes into the draft
 */
export function useNamedLists(sheet: () => ModelSheet, change: (edited: Partial<ModelSheet>) => void) {
  const removal = ref<{
    readonly name: string
    readonly list: NamedList
    readonly references: readonly SheetReference[]
  } | null>(null)

  function changeList(
    list: NamedList,
    before: readonly string[],
    after: readonly string[],
    edited: () => ModelSheet,
  ) {
    const edit = listEdit(before, after)
    const references = edit?.kind === 'removed' ? leftHanging(sheet(), list, edit.name) : []
    if (edit?.kind === 'removed' && references.length > 0)
      return void (removal.value = { name: edit.name, list, references })
    change(edited())
  }
  const changeAdjusters = (adjusters: Adjuster[]) =>
    changeList(
      'adjusters',
      sheet().adjusters.map(a => a.designator),
      adjusters.map(a => a.designator),
      () => withAdjusters(sheet(), adjusters),
    )
  const changeProcedure = (procedure: Step[]) =>
    changeList(
      'procedure',
      sheet().procedure.map(s => s.id),
      procedure.map(s => s.id),
      () => withProcedure(sheet(), procedure),
    )
  function keepAll() {
    removal.value = null
  }
  function removeAll() {
    const { name, list } = removal.value!
    change(list === 'adjusters' ? withoutAdjuster(sheet(), name) : withoutStep(sheet(), name))
    removal.value = null
  }
  return { removal, changeAdjusters, changeProcedure, keepAll, removeAll }
}
