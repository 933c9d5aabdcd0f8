import type { JobSummary } from '#shared/bench'
import { jobTag } from '#shared/jobTag'

/** Jobs whose tag, serial, owner, model or complaint contain every word typed. */
export function findJobs<T extends Pick<JobSummary, 'job' | 'model'>>(
  items: readonly T[],
  search: string,
): T[] {
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean)
  return items.filter(({ job, model }) => {
    const text = [jobTag(job.number), job.serial, job.owner, model, job.complaint]
      .join(' ')
      .toLocaleLowerCase()
    return words.every(w => text.includes(w))
  })
}
