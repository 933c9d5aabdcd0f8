import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { ref, shallowRef } from 'vue'
import type { Stage } from '../../core/run'
import type { Intake, Job } from '../../shared/job'
import { failureOf, type Failure } from '../logic/failureWords'

export interface JobSummary { readonly job: Job, readonly done: Record<Stage, boolean>, readonly nextStepTitle: string | null, readonly lastEventAtMs: number | null }

/** The jobs of the workshop as the bench page lists them. */
export const useJobsStore = defineStore('jobs', () => {
  const items = shallowRef<JobSummary[] | null>(null)
  const failure = ref<Failure | null>(null)
  // One id per attempt to start a job: a second press after a lost answer must not make a second job.
  let attemptId = uuid()

  async function load() {
    try {
      items.value = await $fetch<JobSummary[]>('/api/jobs', { retry: 0, timeout: 8000 })
      failure.value = null
    }
    catch (error) {
      failure.value = failureOf(error)
    }
  }

  /** @returns the job, or the failure */
  async function start(intake: Intake): Promise<Job | Failure> {
    try {
      const job = await $fetch<Job>('/api/jobs', { method: 'POST', body: { ...intake, id: attemptId }, retry: 0 })
      attemptId = uuid()
      return job
    }
    catch (error) {
      return failureOf(error)
    }
  }

  return { items, failure, load, start }
})
