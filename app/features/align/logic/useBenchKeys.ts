import { onBeforeUnmount, onMounted } from 'vue'

export type BenchKeys = Record<string, (event: KeyboardEvent) => void>

/** True while keys belong to a text field or an open dialog. */
function typing(target: EventTarget | null): boolean {
  const element = target as HTMLElement | null
  // A slider keeps only its arrow keys: the hand that moved it still wants Space to take the reading.
  return (
    !!element?.closest('input:not([type=range]), textarea, select, [contenteditable], [role=listbox]') ||
    document.querySelector('.v-overlay--active.v-dialog') !== null
  )
}

/**
 * Keys of a screen by `event.key` (letters in lower case); silent while something is being typed. A foot
 * switch is a keyboard.
 */
export function useBenchKeys(keys: BenchKeys): void {
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return
    const name = event.key.length === 1 ? event.key.toLowerCase() : event.key
    const act = keys[name]
    if (!act) return
    // Space on a focused button would press it as well; the bench key wins.
    event.preventDefault()
    if (!event.repeat) act(event)
  }
  const swallowSpace = (event: KeyboardEvent) => {
    if (event.key === ' ' && keys[' '] && !typing(event.target)) event.preventDefault()
  }
  onMounted(() => {
    window.addEventListener('keydown', onKey)
    window.addEventListener('keyup', swallowSpace)
  })
  onBeforeUnmount(() => {
    window.removeEventListener('keydown', onKey)
    window.removeEventListener('keyup', swallowSpace)
  })
}
