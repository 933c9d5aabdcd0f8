import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { PracticeChange, PracticeState } from '../../shared/practice'
import { failureOf, type Failure } from '../logic/failureWords'

const WATCH_MS = 500

/** The simulated set, when one runs beside the server. */
export const usePracticeStore = defineStore('practice', () => {
  const state = shallowRef<PracticeState | null>(null)
  const failure = ref<Failure | null>(null)
  const asked = ref(false)
  const panelOpen = ref(false)
  /** adjusters of the step at hand: shown first */
  const wanted = ref<readonly string[]>([])
  let watchers = 0
  let timer: ReturnType<typeof setInterval> | null = null
  let last: Promise<unknown> = Promise.resolve()

  async function request(change?: Partial<PracticeChange>) {
    try {
      state.value = await $fetch<PracticeState>('/api/practice', change ? { method: 'POST', body: change, retry: 0 } : { retry: 0 })
      failure.value = null
    }
    catch (error) {
      failure.value = failureOf(error)
      if (failure.value.code === 'bench-away') state.value = null
    }
    asked.value = true
  }

  /** Turns are sent one after the other, so that a drag ends where the finger ended. */
  function change(what: Partial<PracticeChange>) {
    last = last.then(() => request(what))
    return last
  }

  function watch() {
    watchers++
    void request()
    timer ??= setInterval(() => void last.then(() => request()), WATCH_MS)
  }

  function unwatch() {
    if (--watchers > 0 || !timer) return
    clearInterval(timer)
    timer = null
  }

  return { state, failure, asked, panelOpen, wanted, request, change, watch, unwatch }
})
