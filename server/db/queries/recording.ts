import type { KeptRecording, NewRecording } from '#shared/recording'
import type { Db } from '../pool'

const COLUMNS = `id, job_id as "jobId", name, bytes, checksum, options, measurement, phase, point_id as "pointId",
    created_at as "createdAtMs"`

/** Kept once, however often it is sent. */
export async function insertRecording(db: Db, r: NewRecording): Promise<void> {
  await db.query(
    `insert into recording (id, job_id, name, bytes, options, measurement, phase, point_id)
      values ($1::uuid, $2::uuid, $3, $4::bigint, $5::jsonb, $6::jsonb, $7, $8)
      on conflict (id) do nothing`,
    [
      r.id,
      r.jobId,
      r.name,
      r.bytes,
      JSON.stringify(r.options),
      JSON.stringify(r.measurement),
      r.phase,
      r.pointId,
    ],
  )
}

/**
 * Nobody adds to it before this transaction ends.
 * @returns null when there is no such recording, or it is complete already
 */
export async function lockIncomplete(db: Db, id: string): Promise<{ bytes: number } | null> {
  const { rows } = await db.query<{ bytes: number }>(
    'select bytes from recording where id = $1::uuid and not complete for update',
    [id],
  )
  return rows[0] ?? null
}

/** @returns whether there is such a recording and it is not complete */
export async function insertRecordingChunk(
  db: Db,
  id: string,
  ordinal: number,
  data: Buffer,
): Promise<boolean> {
  const { rowCount } = await db.query(
    `with begun as (select id from recording where id = $1::uuid and not complete for share)
     insert into recording_chunk (recording_id, ordinal, data) select id, $2::int, $3::bytea from begun
      on conflict (recording_id, ordinal) do update set data = excluded.data`,
    [id, ordinal, data],
  )
  return rowCount === 1
}

/** Away with what was begun and never sent whole. */
export async function deleteAbandoned(db: Db, olderThanHours: number): Promise<void> {
  const abandoned = `select id from recording
    where not complete and created_at < now() - make_interval(hours => $1::int)`
  await db.query(`delete from recording_chunk where recording_id in (${abandoned})`, [olderThanHours])
  await db.query(`delete from recording where id in (${abandoned})`, [olderThanHours])
}

export async function completeRecording(db: Db, id: string, checksum: string): Promise<void> {
  await db.query('update recording set complete = true, checksum = $2 where id = $1::uuid', [id, checksum])
}

export async function selectRecording(db: Db, id: string): Promise<KeptRecording | null> {
  const {
    rows: [row],
  } = await db.query<KeptRecording>(`select ${COLUMNS} from recording where id = $1::uuid and complete`, [id])
  return row ?? null
}

/** The newest ones of a job, or of the shop. */
export async function selectRecordings(
  db: Db,
  jobId: string | null,
  limit: number,
): Promise<KeptRecording[]> {
  const { rows } = await db.query<KeptRecording>(
    `select ${COLUMNS} from recording where complete and ($1::uuid is null or job_id = $1::uuid)
      order by created_at desc, id limit $2::int`,
    [jobId, limit],
  )
  return rows
}

/** One chunk after the other. */
export async function* readRecordingChunks(db: Db, id: string): AsyncGenerator<Buffer> {
  for (let ordinal = 0; ; ordinal++) {
    const {
      rows: [row],
    } = await db.query<{ data: Buffer }>(
      'select data from recording_chunk where recording_id = $1::uuid and ordinal = $2::int',
      [id, ordinal],
    )
    if (!row) return
    yield row.data
  }
}
