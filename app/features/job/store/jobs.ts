import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, shallowRef } from 'vue'
import type { JobEvent } from '#core/run'
import type { BenchMove, JobSummary } from '#shared/bench'
import type { EarlierJob } from '#shared/earlierJob'
import type { BookedIn, Job } from '#shared/job'
import { failureOf, type Failure } from '~/data/failureWords'
import { useOutboxStore } from '~/data/outbox'
import { notStoredWords } from '~/features/align/logic/notStoredWords'

/** The jobs of the workshop as the bench page lists them. */
export const useJobsStore = defineStore('jobs', () => {
  const items = shallowRef<JobSummary[] | null>(null)
  const failure = ref<Failure | null>(null)
  const earlier = shallowRef<EarlierJob[]>([])
  const outbox = useOutboxStore()
  // One id per attempt to start a job: a second press after a lost answer must not make a second job.
  let attemptId = uuid()
  const moveFailure = ref<Failure | null>(null)
  let placing = Promise.resolve()
  let lastAsked = ''

  async function load() {
    try {
      items.value = await $api<JobSummary[]>('/api/jobs')
      failure.value = null
    } catch (error) {
      failure.value = failureOf(error)
    }
  }

  /** Earlier jobs of a set; a failure here must not hold up an intake, it only says that nothing is known. */
  async function lookUpSet(sheetId: string, serial: string, except: string | null = null) {
    const asked = `${sheetId} ${serial}`
    lastAsked = asked
    if (serial.trim() === '') return (earlier.value = [])
    const found = await $api<EarlierJob[]>('/api/jobs/earlier', {
      query: { sheetId, serial },
      timeout: 5000,
    }).catch(() => [])
    // An answer that comes late is about another set.
    if (asked === lastAsked) earlier.value = found.filter(e => e.job.id !== except)
  }

  /** @returns the job, or the failure */
  async function start(intake: BookedIn): Promise<Job | Failure> {
    try {
      const job = await $api<Job>('/api/jobs', {
        method: 'POST',
        body: { ...intake, id: attemptId },
      })
      attemptId = uuid()
      return job
    } catch (error) {
      return failureOf(error)
    }
  }

  /** Shown at once, kept one after the other; what was refused comes back, with the reason. */
  async function move({ order, was }: BenchMove) {
    const at = new Map(order.map((o, i) => [o.id, { bench: o.bench ?? null, benchOrder: i + 1 }]))
    const moved = (items.value ?? []).map(i =>
      at.has(i.job.id) ? { ...i, job: { ...i.job, ...at.get(i.job.id)! } } : i,
    )
    items.value = moved.sort(
      (a, b) => (at.get(a.job.id)?.benchOrder ?? Infinity) - (at.get(b.job.id)?.benchOrder ?? Infinity),
    )
    placing = placing.then(async () => {
      try {
        await $api('/api/jobs/order', { method: 'PUT', body: { order, was } })
        moveFailure.value = null
      } catch (error) {
        moveFailure.value = failureOf(error)
        await load()
      }
    })
    await placing
  }

  async function switchOn(jobId: string) {
    if (await append(jobId, { kind: 'warm-up-begun', id: uuid(), atMs: Date.now() })) await outbox.flush()
    await load()
  }

  /** An event of a job that is not open. @returns whether it is safe, in this browser at least */
  async function append(jobId: string, event: JobEvent): Promise<boolean> {
    try {
      await outbox.append(jobId, event)
      failure.value = null
      return true
    } catch (error) {
      failure.value = { words: notStoredWords(error), field: null, passing: false, code: null }
      return false
    }
  }

  /** Another set is being booked in: what was found of the last one is no longer shown. */
  function forgetSet() {
    lastAsked = ''
    earlier.value = []
  }

  return { items, failure, earlier, forgetSet, load, lookUpSet, start, move, moveFailure, switchOn, append }
})
