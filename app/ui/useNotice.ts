import { ref } from 'vue'

/** One line that says what just happened; shown until the next one or for a few seconds. */
export function useNotice(forMs = 5000) {
  const said = ref<{ text: string; kind: 'ok' | 'problem' } | null>(null)
  let timer: ReturnType<typeof setTimeout> | null = null
  function say(text: string, kind: 'ok' | 'problem' = 'ok') {
    said.value = { text, kind }
    if (timer) clearTimeout(timer)
    timer = setTimeout(() => (said.value = null), kind === 'problem' ? forMs * 2 : forMs)
  }
  return { said, say }
}
