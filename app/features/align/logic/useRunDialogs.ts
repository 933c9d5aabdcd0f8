import { ref } from 'vue'

export type RunDialog = 'note' | 'strike' | 'reopen' | 'log' | 'attribution' | 'board' | 'park'

/** Which dialog of the run is open, and what it is about. */
export function useRunDialogs() {
  const dialog = ref<RunDialog | null>(null)
  /** reading to be struck out; null = the last of the step */
  const strikeId = ref<string | null>(null)
  /** path of the sheet's field to be corrected */
  const field = ref<string | null>(null)

  function open(which: RunDialog) {
    dialog.value = which
  }
  function strike(readingId: string) {
    strikeId.value = readingId
    dialog.value = 'strike'
  }
  function close() {
    dialog.value = null
    strikeId.value = null
  }
  return {
    dialog,
    strikeId,
    field,
    open,
    strike,
    close,
    amend: (which: string) => (field.value = which),
    closeField: () => (field.value = null),
  }
}
