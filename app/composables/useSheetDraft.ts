import { computed, ref, shallowRef } from 'vue'
import { checkSheet, compareSheets, type ModelSheet } from '../../core/sheet'

/** Steps back that are remembered. */
const MOST_UNDO = 100
const keyOf = (id: string) => `diapason-sheet-draft-${id}`
const copy = (sheet: ModelSheet): ModelSheet => JSON.parse(JSON.stringify(sheet)) as ModelSheet

/**
 * A sheet while it is written: every change can be taken back, and what was written survives a closed browser.
 * @param name of the draft in this browser
 */
export function useSheetDraft(name: string) {
  const start = shallowRef<ModelSheet | null>(null)
  const draft = shallowRef<ModelSheet | null>(null)
  const past = shallowRef<readonly ModelSheet[]>([])
  const future = shallowRef<readonly ModelSheet[]>([])
  /** a draft from last time was taken up again */
  const recovered = ref(false)
  const problems = computed(() => draft.value ? checkSheet(draft.value) : [])
  const differences = computed(() => start.value && draft.value ? compareSheets(start.value, draft.value) : [])

  function begin(sheet: ModelSheet) {
    start.value = copy(sheet)
    const kept = stored()
    recovered.value = kept !== null && kept.revision === sheet.revision && compareSheets(sheet, kept).length > 0
    draft.value = recovered.value ? kept : copy(sheet)
    past.value = future.value = []
  }
  function stored(): ModelSheet | null {
    try {
      return JSON.parse(localStorage.getItem(keyOf(name)) ?? 'null') as ModelSheet | null
    }
    catch {
      return null
    }
  }
  /** A change of any part; a plain copy, so that no form holds on to what is kept. */
  function change(part: Partial<ModelSheet>) {
    if (!draft.value) return
    past.value = [...past.value, draft.value].slice(-MOST_UNDO)
    future.value = []
    set(copy({ ...draft.value, ...part }))
  }
  function set(sheet: ModelSheet) {
    draft.value = sheet
    localStorage.setItem(keyOf(name), JSON.stringify(sheet))
  }
  function undo() {
    const last = past.value.at(-1)
    if (!last || !draft.value) return
    future.value = [draft.value, ...future.value]
    past.value = past.value.slice(0, -1)
    set(last)
  }
  function redo() {
    const next = future.value[0]
    if (!next || !draft.value) return
    past.value = [...past.value, draft.value]
    future.value = future.value.slice(1)
    set(next)
  }
  function forget() {
    localStorage.removeItem(keyOf(name))
    recovered.value = false
  }
  function startOver() {
    forget()
    if (start.value) begin(start.value)
  }
  return { start, draft, problems, differences, recovered, canUndo: computed(() => past.value.length > 0), canRedo: computed(() => future.value.length > 0), begin, change, undo, redo, forget, startOver }
}
