import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { readonly, ref, shallowRef } from 'vue'
import type { FreePractice, NewPractice, PracticeChange, PracticeState } from '#shared/practice'
import type { PracticeNow, PracticeSession, PracticeSummary } from '#shared/practiceSession'
import { failureOf, type Failure } from '~/data/failureWords'

const WATCH_MS = 500

/** The simulated set, when one runs beside the server. */
export const usePracticeStore = defineStore('practice', () => {
  const state = shallowRef<PracticeState | null>(null)
  const failure = ref<Failure | null>(null)
  const asked = ref(false)
  /** the case that is being worked, and what this shop has worked before */
  const open = shallowRef<PracticeSummary | null>(null)
  const sessions = shallowRef<readonly PracticeSummary[]>([])
  const review = shallowRef<PracticeSession | null>(null)
  const panelOpen = ref(false)
  /** adjusters of the step at hand: shown first */
  const wanted = ref<readonly string[]>([])
  let watchers = 0

  function showPanel(open: boolean) {
    panelOpen.value = open
  }
  let timer: ReturnType<typeof setInterval> | null = null
  let last: Promise<unknown> = Promise.resolve()
  /** requests are numbered, so that an answer that a later one overtook is not shown */
  let sent = 0
  let shown = 0

  async function request(change?: Partial<PracticeChange>) {
    const mine = ++sent
    try {
      const answer = await $api<PracticeState | PracticeNow>(
        '/api/practice',
        change ? { method: 'POST', body: change } : {},
      )
      if (mine < shown) return
      shown = mine
      state.value = answer
      if ('open' in answer) open.value = answer.open
      failure.value = null
    } catch (error) {
      if (mine < shown) return
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

  async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
    try {
      const result = await work()
      failure.value = null
      return result
    } catch (error) {
      failure.value = failureOf(error)
      return null
    }
  }

  async function loadSessions() {
    sessions.value =
      (await attempt(() => $api<PracticeSummary[]>('/api/practice/sessions'))) ?? sessions.value
  }

  /** Adjusters that the step at hand is about: they stand first among the hands. */
  function want(designators: readonly string[]) {
    wanted.value = designators
  }
  async function start(wanted: NewPractice): Promise<PracticeSummary | null> {
    const made = await attempt(() =>
      $api<PracticeSummary>('/api/practice/sessions', { method: 'POST', body: wanted }),
    )
    if (made) open.value = made
    await request()
    return made
  }

  /** A set to try things out on, without a case. */
  async function free(wanted: FreePractice) {
    const now = await attempt(() => $api<PracticeNow>('/api/practice/free', { method: 'POST', body: wanted }))
    if (!now) return false
    state.value = now
    open.value = now.open
    return true
  }

  async function finish(id: string, named: readonly string[]): Promise<boolean> {
    const done = await attempt(() =>
      $api<PracticeSession>(`/api/practice/sessions/${id}/finish`, {
        method: 'POST',
        body: { named },
      }),
    )
    if (done) review.value = done
    return done !== null
  }

  async function loadReview(id: string) {
    review.value = await attempt(() => $api<PracticeSession>(`/api/practice/sessions/${id}`))
  }

  return {
    state,
    failure,
    asked,
    open,
    sessions,
    review,
    panelOpen: readonly(panelOpen),
    showPanel,
    wanted,
    want,
    request,
    change,
    watch,
    unwatch,
    loadSessions,
    start,
    free,
    finish,
    loadReview,
  }
})
