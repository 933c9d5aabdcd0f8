import { computed, onBeforeUnmount, ref } from 'vue'

const TICK_MS = 50

/** A clock that runs up from when it is started, for what must be done in time. */
export function useCountdown(limitS: () => number) {
  const startedMs = ref<number | null>(null)
  const nowMs = ref(0)
  let timer: ReturnType<typeof setInterval> | null = null
  const seconds = computed(() => (startedMs.value === null ? 0 : (nowMs.value - startedMs.value) / 1000))
  const over = computed(() => seconds.value > limitS())

  function start() {
    stop()
    startedMs.value = nowMs.value = Date.now()
    timer = setInterval(() => (nowMs.value = Date.now()), TICK_MS)
  }
  function stop() {
    if (timer) clearInterval(timer)
    timer = null
  }
  function reset() {
    stop()
    startedMs.value = null
  }
  onBeforeUnmount(stop)
  return { seconds, over, running: computed(() => startedMs.value !== null), start, stop, reset }
}
