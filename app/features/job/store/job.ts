import { $api } from '~/data/api'
import { t } from '#shared/i18n'
import { defineStore } from 'pinia'
import { v4 as uuid, v5 as uuidOf } from 'uuid'
import { computed, ref, shallowRef } from 'vue'
import { withBandRules } from '#core/rules'
import { asOfTrainee, type JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import type { Job, JobChange, JobPatch } from '#shared/job'
import type { RunPosition } from '#shared/jobLive'
import { failureOf, type Failure } from '~/data/failureWords'
import { loadSnapshot, saveSnapshot, type OutboxEntry, type Snapshot } from '~/data/outboxDb'
import { useOutboxStore } from '~/data/outbox'
import type { KeyedSpan } from '~/features/align/logic/keyedSpans'
import { useRulesStore } from '~/features/rules/store/rules'
import { useSheetsStore } from '~/features/sheet/store/sheets'
import { useDerived } from './derived'
import { useIssues } from './issues'

type WithoutId<E> = E extends JobEvent ? Omit<E, 'id' | 'atMs'> : never

/** After what is on the screen; not every browser knows when it is idle. */
const whenIdle = (work: () => void) =>
  typeof requestIdleCallback === 'undefined'
    ? setTimeout(work, 300)
    : requestIdleCallback(work, { timeout: 1500 })

/** An entry as the server keeps it: a trainee's on a customer's set waits to be released. */
const asKept = ({ event, byTrainee }: OutboxEntry, { isPractice }: Job) =>
  byTrainee && !isPractice ? asOfTrainee(event) : event

/** The job that is open: its events, and everything that follows from them, computed. */
export const useJobStore = defineStore('job', () => {
  const outbox = useOutboxStore()
  const rulesStore = useRulesStore()
  const job = shallowRef<Job | null>(null)
  const stored = shallowRef<JobEvent[]>([])
  const { issues, loadIssues } = useIssues(job)
  const loading = ref(false)
  const failure = ref<Failure | null>(null)
  /** true: shown from this browser's memory, because the server did not answer */
  const fromMemory = ref(false)

  const base = shallowRef<ModelSheet | null>(null)
  const foundBase = shallowRef<ModelSheet | null>(null)
  /** everything that was entered, also what was struck out */
  const entered = computed<JobEvent[]>(() => {
    const known = new Set(stored.value.map(e => e.id))
    return [
      ...stored.value,
      ...outbox.entries
        .filter(e => e.jobId === job.value?.id && e.refused === null && !known.has(e.event.id))
        .map(e => asKept(e, job.value!)),
    ]
  })
  const rules = computed(() => {
    const chosen = job.value ? rulesStore.of(job.value.ruleSetId) : null
    return chosen && withBandRules(chosen, [base.value ?? [], foundBase.value ?? []].flat(), rulesStore.of)
  })
  const derived = useDerived({ job, entered, base, foundBase, rules })

  outbox.onSent(entry => {
    if (entry.jobId !== job.value?.id) return
    const event = asKept(entry, job.value)
    if (!stored.value.some(e => e.id === event.id)) stored.value = [...stored.value, event]
    // Only now has the server frozen it.
    if (event.kind === 'handed-over') void loadIssues()
  })

  async function open(id: string) {
    if (job.value?.id !== id) {
      job.value = null
      stored.value = []
      issues.value = []
    }
    loading.value = true
    failure.value = null
    const asked = $api<Snapshot>(`/api/jobs/${id}`)
    try {
      const [answer] = await Promise.all([asked, outbox.reload(), rulesStore.load()])
      base.value = useSheetsStore().keep(answer.sheet)
      foundBase.value = answer.found ?? null
      job.value = answer.job
      stored.value = answer.events
      fromMemory.value = false
      // Nobody waits for it: first the screen, then the memory of this browser.
      whenIdle(() => void saveSnapshot(answer))
      void outbox.flush()
    } catch (error) {
      await openFromMemory(id, failureOf(error))
    } finally {
      loading.value = false
    }
  }

  async function openFromMemory(id: string, why: Failure) {
    const snapshot = why.passing ? await loadSnapshot(id) : null
    failure.value = why
    if (!snapshot) return
    base.value = snapshot.sheet
    foundBase.value = snapshot.found ?? null
    job.value = snapshot.job
    stored.value = snapshot.events
    fromMemory.value = true
    setTimeout(() => {
      if (fromMemory.value && job.value?.id === id) void open(id)
    }, 3000)
  }

  /** Keeps an event; resolved means that it survives a closed browser. */
  async function append(event: WithoutId<JobEvent>): Promise<void> {
    if (!job.value) return
    const whole = { ...event, id: uuid(), atMs: Date.now() } as JobEvent
    await outbox.append(job.value.id, whole, base.value?.id ?? null)
    // The entry itself is safe; what it is shown with when the server is away is no reason to wait.
    if (base.value)
      void saveSnapshot({ job: job.value, events: stored.value, sheet: base.value, found: foundBase.value })
  }

  /** @param count entries that the server has */
  const isBehind = (count: number) => !fromMemory.value && stored.value.length < count
  /** An entry that another screen of this job kept. */
  function takeNews(event: JobEvent) {
    if (job.value && !stored.value.some(e => e.id === event.id)) stored.value = [...stored.value, event]
    if (event.kind === 'handed-over') void loadIssues()
    // It is measured by another sheet from here on.
    if (event.kind === 'model-changed') void open(job.value!.id)
  }
  /** The job as somebody else has saved it takes the place of ours. */
  function adopt(theirs: Job) {
    job.value = theirs
  }
  /** One key-down by the clock of the gateway: every screen that saw it makes the same id. */
  async function keepKeyed(span: KeyedSpan, stepId: string | null) {
    if (!job.value) return
    const [fromMs, untilMs] = [Math.round(span.fromMs), Math.round(span.untilMs)]
    const event: JobEvent = {
      kind: 'keyed',
      id: uuidOf(t('job.keyed', { fromMs }), job.value.id),
      atMs: untilMs,
      stepId,
      lengthS: (untilMs - fromMs) / 1000,
    }
    if (!entered.value.some(e => e.id === event.id)) await outbox.append(job.value.id, event)
  }
  /** Tells other screens of this run where this one is; nobody waits for it. */
  function tellPosition(position: RunPosition) {
    if (job.value)
      void $api(`/api/jobs/${job.value.id}/position`, { method: 'POST', body: position }).catch(() => {})
  }

  /** @returns the failure, or null when it was stored */
  async function change(patch: JobChange, version: number): Promise<Failure | null> {
    try {
      job.value = await $api<Job>(`/api/jobs/${job.value!.id}`, {
        method: 'PATCH',
        body: { ...patch, version } satisfies JobPatch,
      })
      return null
    } catch (error) {
      return failureOf(error)
    }
  }

  /** The job as the server has it now, beside what is open here; null without an answer. */
  async function peek(): Promise<Job | null> {
    return $api<{ job: Job }>(`/api/jobs/${job.value!.id}`).then(
      answer => answer.job,
      () => null,
    )
  }

  return {
    job,
    base,
    entered,
    rules,
    ...derived,
    loading,
    isBehind,
    failure,
    fromMemory,
    issues,
    open,
    append,
    takeNews,
    adopt,
    keepKeyed,
    tellPosition,
    loadIssues,
    change,
    peek,
  }
})
