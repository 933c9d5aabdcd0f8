import { shallowRef, type Ref } from 'vue'
import type { HandoverIssue } from '#shared/handoverIssue'
import type { Job } from '#shared/job'
import { $api } from '~/data/api'

/** What was handed over of a job so far; without an answer the list stays as it was. */
export function useIssues(job: Readonly<Ref<Job | null>>) {
  const issues = shallowRef<HandoverIssue[]>([])
  async function loadIssues() {
    if (job.value)
      issues.value = await $api<HandoverIssue[]>(`/api/jobs/${job.value.id}/issues`).catch(() => issues.value)
  }
  return { issues, loadIssues }
}
