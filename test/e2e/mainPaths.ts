import type { TestHouse } from '../integration/house'

/** Path of a page of a job of the demo data, by the number of the job. */
export async function jobPaths(house: TestHouse): Promise<(number: number, page: string) => string> {
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  return (number, page) => `/jobs/${jobs.find(j => j.job.number === number)!.job.id}/${page}`
}

/** Every main screen, with the demo data. */
export async function mainPaths(house: TestHouse): Promise<string[]> {
  const of = await jobPaths(house)
  return [
    '/',
    '/sets',
    '/rules',
    '/parts',
    '/sheets',
    '/sheets/osmund-27f',
    '/sheets/new',
    '/sheets/osmund-27f/edit',
    '/practice',
    '/instruments',
    '/people',
    of(231, 'intake'),
    of(231, 'inspection'),
    of(231, 'as-found'),
    of(228, 'findings'),
    of(228, 'repair'),
    of(228, 'trials'),
    of(228, 'soak'),
    of(231, 'align'),
    of(229, 'handover'),
  ]
}
