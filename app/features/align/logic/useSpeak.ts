import { onBeforeUnmount, ref, watch } from 'vue'

const KEY = 'diapason-speak-every'

/** The reading spoken at an interval, where the browser has a voice; 0 = not. */
export function useSpeak(words: () => string | null) {
  const everyS = ref(typeof localStorage === 'undefined' ? 0 : Number(localStorage.getItem(KEY) ?? 0))
  const hasVoice = ref(typeof speechSynthesis !== 'undefined')
  let timer: ReturnType<typeof setInterval> | null = null

  function say() {
    const text = words()
    if (!text || speechSynthesis.speaking) return
    const utterance = new SpeechSynthesisUtterance(text)
    utterance.lang = 'en'
    utterance.rate = 1.1
    speechSynthesis.speak(utterance)
  }
  function arrange() {
    if (timer) clearInterval(timer)
    timer = everyS.value > 0 && hasVoice.value ? setInterval(say, everyS.value * 1000) : null
  }
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
  watch([everyS, hasVoice], () => {
    localStorage.setItem(KEY, String(everyS.value))
    arrange()
  })
  onBeforeUnmount(() => {
    if (timer) clearInterval(timer)
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel()
  })
  return { everyS, hasVoice, say }
}
