import { jobTag, type Job } from '../../shared/job'

/** Jobs whose tag, serial, owner, model or complaint contain every word typed. */
export function findJobs<T extends { job: Job }>(items: readonly T[], search: string, model: (sheetId: string) => string): T[] {
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean)
  return items.filter(({ job }) => {
    const text = [jobTag(job.number), job.serial, job.owner, model(job.sheetId), job.complaint].join(' ').toLocaleLowerCase()
    return words.every(w => text.includes(w))
  })
}
