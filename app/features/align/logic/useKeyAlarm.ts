import { ON_OFF } from './onOff'
import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { onBeforeUnmount, watch, type Ref } from 'vue'
import type { KeyDownView } from '#core/run'

const KEY = 'diapason-key-alarm'
const WARN_HZ = 880
const OVER_HZ = 1320
const BEEP_S = 0.12
/** Past the limit it does not stop until the key is let go [ms]. */
const AGAIN_MS = 450

/** Warns by sound before the key-down limit, and without a pause past it: eyes are on the set. */
export function useKeyAlarm(view: Ref<KeyDownView>) {
  const on = useLocalStorage(KEY, true, ON_OFF)
  let context: AudioContext | null = null
  const { pause: quiet, resume: repeat } = useIntervalFn(() => beep(OVER_HZ), AGAIN_MS, { immediate: false })

  function beep(hz: number, afterS = 0) {
    context ??= new AudioContext()
    void context.resume()
    const oscillator = context.createOscillator()
    const gain = context.createGain()
    const start = context.currentTime + afterS
    oscillator.frequency.value = hz
    gain.gain.setValueAtTime(0, start)
    gain.gain.linearRampToValueAtTime(0.2, start + 0.01)
    gain.gain.linearRampToValueAtTime(0, start + BEEP_S)
    oscillator.connect(gain).connect(context.destination)
    oscillator.start(start)
    oscillator.stop(start + BEEP_S)
  }
  watch(
    () => view.value.phase,
    (phase, before) => {
      quiet()
      if (!on.value) return
      if (phase === 'warn' && before === 'keyed') [0, 0.2].forEach(s => beep(WARN_HZ, s))
      if (phase !== 'over') return
      beep(OVER_HZ)
      repeat()
    },
  )
  function toggle() {
    on.value = !on.value
    if (!on.value) quiet()
    else beep(WARN_HZ)
  }
  onBeforeUnmount(() => {
    void context?.close()
  })
  return { on, toggle }
}
