import type { Db } from '../pool'

/** Jobs whose index is made in one go. */
const AT_ONCE = 50

/** Makes anew what searches and spreads read of some jobs. */
export async function indexJobs(db: Db, jobIds: readonly string[]): Promise<void> {
  await db.query('select index_jobs($1::uuid[])', [jobIds])
}

/** Remembers, in the transaction of the change, that a job's index is to be made anew. */
export async function markForIndex(db: Db, jobId: string): Promise<void> {
  await db.query('insert into index_pending (job_id) values ($1::uuid)', [jobId])
}

/** Makes the index of jobs that changed, some at a time. @returns whether any was left over when it began */
export async function indexPending(db: Db): Promise<boolean> {
  const { rows } = await db.query<{ ids: number[]; jobIds: string[] }>(`
    with waiting as (select id, job_id from index_pending order by id limit ${AT_ONCE} for update)
    select coalesce(array_agg(id), '{}') as ids, coalesce(array_agg(distinct job_id), '{}') as "jobIds" from waiting`)
  const { ids, jobIds } = rows[0]!
  if (ids.length === 0) return false
  await indexJobs(db, jobIds)
  await db.query('delete from index_pending where id = any($1::bigint[])', [ids])
  return true
}
