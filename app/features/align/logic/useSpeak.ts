import { LOCALES, language } from '#shared/i18n'
import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'

const KEY = 'diapason-speak-every'

/** The reading spoken at an interval, where the browser has a voice; 0 = not. */
export function useSpeak(words: () => string | null) {
  const everyS = useLocalStorage(KEY, 0)
  const hasVoice = ref(typeof speechSynthesis !== 'undefined')

  function say() {
    const text = words()
    if (!text || speechSynthesis.speaking) return
    const utterance = new SpeechSynthesisUtterance(text)
    utterance.lang = LOCALES[language()]
    utterance.rate = 1.1
    speechSynthesis.speak(utterance)
  }
  const everyMs = computed(() => everyS.value * 1000)
  const { pause, resume } = useIntervalFn(say, everyMs, { immediate: false })
  const arrange = () => (everyS.value > 0 && hasVoice.value ? resume() : pause())
  /** Voices arrive late; a browser without any says nothing. */
  function lookForVoices() {
    if (typeof speechSynthesis === 'undefined') return
    const look = () => (hasVoice.value = speechSynthesis.getVoices().length > 0)
    look()
    speechSynthesis.addEventListener?.('voiceschanged', look)
  }
  if (typeof window !== 'undefined') {
    lookForVoices()
    arrange()
  }
  watch([everyS, hasVoice], arrange)
  onBeforeUnmount(() => {
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel()
  })
  return { everyS, hasVoice, say }
}
