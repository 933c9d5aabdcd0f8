import { ref, watch } from 'vue'

const KEY = 'diapason-who'

/**
 * Who works at this screen: asked once, remembered here, and written beside corrections and confirmations.
 */
export function useWho() {
  const who = ref(typeof localStorage === 'undefined' ? '' : (localStorage.getItem(KEY) ?? ''))
  watch(who, name => localStorage.setItem(KEY, name.trim()))
  return who
}
