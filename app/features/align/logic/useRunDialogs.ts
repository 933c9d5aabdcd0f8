import { ref } from 'vue'

export type RunDialog = 'note' | 'strike' | 'reopen' | 'log' | 'attribution' | 'board' | 'park'

/** Which dialog of the run is open, and what it is about. */
export function useRunDialogs() {
  const dialog = ref<RunDialog | null>(null)
  /** reading to be struck out; null = the last of the step */
  const strikeId = ref<string | null>(null)
  /** line of the sheet to be corrected */
  const line = ref<string | null>(null)

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
    line,
    open,
    strike,
    close,
    amend: (which: string) => (line.value = which),
    closeLine: () => (line.value = null),
  }
}
