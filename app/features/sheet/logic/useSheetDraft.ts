import { computed, ref, shallowRef } from 'vue'
import {
  checkSheet,
  compareSheets,
  mergeSheets,
  taking,
  type ModelSheet,
  type SheetConflict,
} from '#core/sheet'

/** Steps back that are remembered. */
const MAX_UNDO = 100
const PREFIX = 'diapason-sheet-draft-'
const keyOf = (name: string) => `${PREFIX}${name}`
/** Drafts of sheets that were never saved are kept apart from those of sheets that are there. */
export const newDraftName = (sheetId: string) => `new-${sheetId}`
const copy = (sheet: ModelSheet): ModelSheet => JSON.parse(JSON.stringify(sheet)) as ModelSheet

/** What is kept of a sheet being written: the revision it began from, and what was written. */
interface KeptDraft {
  readonly base: ModelSheet
  readonly draft: ModelSheet
}
/** A draft of this browser, for the list. */
export interface DraftEntry {
  readonly name: string
  readonly model: string
  readonly isNew: boolean
  readonly lines: number
}

/** Drafts that were written and not saved, of this browser. */
export function listDrafts(): DraftEntry[] {
  const names = Object.keys(localStorage)
    .filter(k => k.startsWith(PREFIX))
    .map(k => k.slice(PREFIX.length))
  return names.flatMap(name => {
    const kept = readDraft(name)
    return kept
      ? [
          {
            name,
            model: kept.draft.model,
            isNew: name.startsWith('new-'),
            lines: compareSheets(kept.base, kept.draft).length,
          },
        ]
      : []
  })
}
export function discardDraft(name: string) {
  localStorage.removeItem(keyOf(name))
}
/** @returns null when there is none, or none that can be read */
export function readDraft(name: string): KeptDraft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(name)) ?? 'null') as KeptDraft | ModelSheet | null
    if (!kept) return null
    return 'draft' in kept ? kept : { base: kept, draft: kept }
  } catch {
    return null
  }
}

/**
 * A sheet while it is written: every change can be taken back, and what was written survives a closed browser
 * and a revision that somebody else saved meanwhile.
 * @param name of the draft in this browser
 */
export function useSheetDraft(name: string) {
  const start = shallowRef<ModelSheet | null>(null)
  const draft = shallowRef<ModelSheet | null>(null)
  const past = shallowRef<readonly ModelSheet[]>([])
  const future = shallowRef<readonly ModelSheet[]>([])
  /** a draft from last time was taken up again */
  const recovered = ref(false)
  /** places that somebody else changed meanwhile to something else; each is decided before saving */
  const conflicts = shallowRef<readonly SheetConflict[]>([])
  /** so many places were taken over from a newer revision */
  const taken = ref(0)
  let mine: ModelSheet | null = null
  const problems = computed(() => (draft.value ? checkSheet(draft.value) : []))
  const differences = computed(() =>
    start.value && draft.value ? compareSheets(start.value, draft.value) : [],
  )

  /**
   * Begins from a revision, with what was written here before: put together field by field where it began
   * from an older one.
   */
  function begin(sheet: ModelSheet) {
    const kept = readDraft(name)
    start.value = copy(sheet)
    past.value = future.value = []
    recovered.value = kept !== null && compareSheets(kept.base, kept.draft).length > 0
    conflicts.value = []
    taken.value = 0
    if (!kept || !recovered.value) return void (draft.value = copy(sheet))
    if (kept.base.revision === sheet.revision) return void (draft.value = kept.draft)
    mine = kept.draft
    const merge = mergeSheets(kept.base, kept.draft, sheet)
    conflicts.value = merge.conflicts
    taken.value = merge.taken
    set(copy(merge.merged))
  }
  /** Decides one place. */
  function decide(conflict: SheetConflict, whose: 'mine' | 'theirs') {
    if (whose === 'mine' && mine && draft.value) set(copy(taking(draft.value, mine, conflict)))
    conflicts.value = conflicts.value.filter(c => c !== conflict)
  }
  /** A change of any part; a plain copy, so that no form holds on to what is kept. */
  function change(part: Partial<ModelSheet>) {
    if (!draft.value) return
    past.value = [...past.value, draft.value].slice(-MAX_UNDO)
    future.value = []
    set(copy({ ...draft.value, ...part }))
  }
  function set(sheet: ModelSheet) {
    draft.value = sheet
    localStorage.setItem(
      keyOf(name),
      JSON.stringify({ base: start.value, draft: sheet } satisfies {
        base: ModelSheet | null
        draft: ModelSheet
      }),
    )
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
  return {
    start,
    draft,
    problems,
    differences,
    recovered,
    conflicts,
    taken,
    decide,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
    begin,
    change,
    undo,
    redo,
    forget,
    startOver,
  }
}
