import type { Db } from '../pool'

/** A page of jobs by number, for those who go through all of them. */
export async function selectJobIds(db: Db, afterNumber: number, limit: number) {
  const { rows } = await db.query<{ id: string; number: number }>(
    'select id, number from job where number > $1 order by number limit $2',
    [afterNumber, limit],
  )
  return rows
}

/** Chains of the entries of a job, in order; null = stored before there was a chain. */
export async function selectChains(db: Db, jobId: string) {
  const { rows } = await db.query<{ id: string; chain: Buffer | null }>(
    'select id, chain from job_event where job_id = $1::uuid order by seq',
    [jobId],
  )
  return rows
}

/** Files with what they should be; *kept* tells where their bytes are. */
export async function selectFiles(db: Db, kept: 'attachment' | 'recording') {
  const whole = kept === 'recording' ? 'where complete' : ''
  const { rows } = await db.query<{ id: string; name: string; bytes: number; checksum: string }>(
    `select id, name, bytes, checksum from ${kept} ${whole} order by created_at`,
  )
  return rows
}

/** Frozen records with the checksum that was written beside them. */
export async function selectFrozen(db: Db, jobId: string) {
  const { rows } = await db.query<{ number: number; record: string; checksum: string }>(
    'select number, record, checksum from handover_issue where job_id = $1::uuid order by number',
    [jobId],
  )
  return rows
}

export async function selectSchemaVersion(db: Db): Promise<number> {
  const { rows } = await db.query<{ version: number }>(
    'select max(version)::int as version from schema_version',
  )
  return rows[0]!.version
}

/**
 * When PostgreSQL last failed to archive its log, and has not archived anything since; null = it works, or is
 * not wanted (any more).
 */
export async function selectArchiveFailure(db: Db): Promise<number | null> {
  const { rows } = await db.query<{ atMs: number }>(
    `select (extract(epoch from last_failed_time) * 1000)::float8 as "atMs" from pg_stat_archiver
      where last_failed_time > coalesce(last_archived_time, '-infinity')
        and current_setting('archive_mode') <> 'off'`,
  )
  return rows[0]?.atMs ?? null
}
