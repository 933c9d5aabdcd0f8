import type { FieldChange, ModelSheet } from '#core/sheet'
import type { RevisionInfo, SheetRevision } from '#shared/sheetFile'
import type { Db } from '../pool'

export interface NewRevision extends Omit<SheetRevision, 'revisedAtMs'> {
  readonly jobId: string | null
  readonly eventId: string | null
  readonly revisedAtMs: number | null
}

/** @returns false when this revision is there already */
export async function insertRevision(db: Db, r: NewRevision): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into sheet_revision (sheet_id, revision, body, who, reason, changes, job_id, event_id, revised_at)
     values ($1, $2::int, $3::jsonb, $4, $5, $6::jsonb, $7::uuid, $8::uuid,
       coalesce(to_timestamp($9::float8 / 1000), now())) on conflict do nothing`,
    [
      r.sheet.id,
      r.sheet.revision,
      JSON.stringify(r.sheet),
      r.who,
      r.reason,
      JSON.stringify(r.changes),
      r.jobId,
      r.eventId,
      r.revisedAtMs,
    ],
  )
  return rowCount === 1
}

export async function selectRevision(db: Db, id: string, revision: number): Promise<ModelSheet | null> {
  const {
    rows: [row],
  } = await db.query<{ body: ModelSheet }>(
    'select body from sheet_revision where sheet_id = $1 and revision = $2::int',
    [id, revision],
  )
  return row?.body ?? null
}

export async function selectNewest(db: Db, id: string): Promise<number | null> {
  const {
    rows: [row],
  } = await db.query<{ revision: number | null }>(
    'select max(revision) as revision from sheet_revision where sheet_id = $1',
    [id],
  )
  return row?.revision ?? null
}

/** The newest revision of every sheet that was written or corrected here. */
export async function selectNewestSheets(db: Db): Promise<ModelSheet[]> {
  const { rows } = await db.query<{ body: ModelSheet }>(
    'select distinct on (sheet_id) body from sheet_revision order by sheet_id, revision desc',
  )
  return rows.map(r => r.body)
}

export async function selectRevisions(db: Db, id: string): Promise<RevisionInfo[]> {
  const { rows } = await db.query<RevisionInfo>(
    `select s.revision, s.who, s.reason, s.changes, s.revised_at as "revisedAtMs", j.number as "jobNumber",
      s.job_id as "jobId"
     from sheet_revision s left join job j on j.id = s.job_id where s.sheet_id = $1 order by s.revision desc`,
    [id],
  )
  return rows
}

export async function selectWholeRevisions(db: Db, id: string): Promise<SheetRevision[]> {
  const { rows } = await db.query<SheetRevision>(
    `select body as sheet, who, reason, changes, revised_at as "revisedAtMs" from sheet_revision
      where sheet_id = $1 order by revision`,
    [id],
  )
  return rows
}

/** Corrections that a struck-out entry made. */
export async function selectChangesOfEvent(db: Db, eventId: string): Promise<readonly FieldChange[] | null> {
  const {
    rows: [row],
  } = await db.query<{ changes: FieldChange[] }>(
    'select changes from sheet_revision where event_id = $1::uuid',
    [eventId],
  )
  return row?.changes ?? null
}

/**
 * Jobs on which a field was found right, each once, entries struck out left aside; by field and time of the
 * last.
 */
export async function selectConfirmations(
  db: Db,
  id: string,
): Promise<{ path: string; jobId: string; atMs: number }[]> {
  const { rows } = await db.query<{ path: string; jobId: string; atMs: number }>(
    `select e.body ->> 'line' as path, e.job_id as "jobId", max(e.at) as "atMs" from job_event e
      join job j on j.id = e.job_id
     where j.sheet_id = $1 and e.kind = 'line-confirmed'
       and not exists (select from job_event s where s.job_id = e.job_id and s.kind = 'event-struck'
         and s.body ->> 'eventId' = e.id::text)
     group by 1, 2`,
    [id],
  )
  return rows
}

export async function countJobs(db: Db): Promise<Map<string, number>> {
  const { rows } = await db.query<{ id: string; jobs: number }>(
    'select sheet_id as id, count(*)::int as jobs from job group by 1',
  )
  return new Map(rows.map(r => [r.id, r.jobs]))
}
