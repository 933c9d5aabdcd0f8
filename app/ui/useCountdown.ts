import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'

const TICK_MS = 50

/** A clock that runs up from when it is started, for what must be done in time. */
export function useCountdown(limitS: () => number) {
  const startedMs = ref<number | null>(null)
  const nowMs = ref(0)
  const { pause: stop, resume } = useIntervalFn(() => (nowMs.value = Date.now()), TICK_MS, {
    immediate: false,
  })
  const seconds = computed(() => (startedMs.value === null ? 0 : (nowMs.value - startedMs.value) / 1000))
  const over = computed(() => seconds.value > limitS())

  function start() {
    startedMs.value = nowMs.value = Date.now()
    resume()
  }
  function reset() {
    stop()
    startedMs.value = null
  }
  return { seconds, over, running: computed(() => startedMs.value !== null), start, stop, reset }
}
