import type { HandoverLink } from '#shared/handoverLink'
import type { Db } from '../pool'

/** One that expired is of no use to anybody. */
export async function deleteExpiredLinks(db: Db): Promise<void> {
  await db.query('delete from handover_link where expires_at <= now()')
}

/** The links of a job by which its owner can read, newest first. */
export async function selectLinks(db: Db, jobId: string): Promise<HandoverLink[]> {
  const { rows } = await db.query<HandoverLink>(
    `select id, (extract(epoch from made_at) * 1000)::float8 as "madeAtMs",
       (extract(epoch from expires_at) * 1000)::float8 as "expiresAtMs", times_read as "timesRead"
     from handover_link where job_id = $1::uuid and expires_at > now() order by made_at desc, id`,
    [jobId],
  )
  return rows
}

/**
 * Asked for again with the same id, it gets the new secret: the old one may have been lost on the way.
 * @returns false when the id is of another job
 */
export async function upsertLink(
  db: Db,
  link: { id: string; jobId: string; tokenHash: Buffer; madeBy: string | null; days: number },
): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into handover_link (id, job_id, token_hash, made_by, expires_at)
     values ($1::uuid, $2::uuid, $3, $4::uuid, now() + $5::int * interval '1 day')
     on conflict (id) do update set token_hash = excluded.token_hash
       where handover_link.job_id = excluded.job_id`,
    [link.id, link.jobId, link.tokenHash, link.madeBy, link.days],
  )
  return rowCount === 1
}

/** @returns the job that it belonged to; null when there is no such link any more */
export async function deleteLink(db: Db, id: string): Promise<string | null> {
  const { rows } = await db.query<{ jobId: string }>(
    'delete from handover_link where id = $1::uuid returning job_id as "jobId"',
    [id],
  )
  return rows[0]?.jobId ?? null
}

export async function deleteLinksOf(db: Db, jobId: string): Promise<void> {
  await db.query('delete from handover_link where job_id = $1::uuid', [jobId])
}

/** The job whose owner's copy a secret opens; counted. @returns null when it opens nothing, or no more */
export async function readByLink(db: Db, tokenHash: Buffer): Promise<string | null> {
  const { rows } = await db.query<{ jobId: string }>(
    `update handover_link set times_read = times_read + 1 where token_hash = $1 and expires_at > now()
     returning job_id as "jobId"`,
    [tokenHash],
  )
  return rows[0]?.jobId ?? null
}
