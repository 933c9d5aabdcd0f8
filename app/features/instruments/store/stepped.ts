import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { SteppedBody, SteppedView } from '#shared/instrumentCommands'
import { failureOf, type Failure } from '~/data/failureWords'

const LOOK_EVERY_MS = 300

/** The stepped measurement of this bench: there is one at a time. */
export const useSteppedStore = defineStore('stepped', () => {
  const run = shallowRef<SteppedView | null>(null)
  const failure = shallowRef<Failure | null>(null)
  let timer: ReturnType<typeof setInterval> | null = null

  async function request(method: 'GET' | 'POST' | 'DELETE', body?: SteppedBody) {
    try {
      run.value = (
        await $api<{ run: SteppedView | null }>('/api/stepped', {
          method,
          ...(body ? { body } : {}),
        })
      ).run
      failure.value = null
    } catch (error) {
      failure.value = failureOf(error)
    }
    if (run.value?.state === 'running') timer ??= setInterval(() => void request('GET'), LOOK_EVERY_MS)
    else leave()
  }

  /** The run goes on while nobody looks. */
  function leave() {
    if (timer) clearInterval(timer)
    timer = null
  }

  return {
    run,
    failure,
    look: () => request('GET'),
    start: (body: SteppedBody) => request('POST', body),
    cancel: () => request('DELETE'),
    leave,
  }
})
