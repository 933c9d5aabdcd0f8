import type { Attachment, AttachmentPatch } from '#shared/attachment'
import type { Db } from '../pool'

const COLUMNS = `id, job_id as "jobId", kind, name, mime, about, bytes, width, height, checksum, rotation,
  arrows, version, created_at as "createdAtMs"`
const CHUNK_BYTES = 262_144

export type NewAttachment = Omit<Attachment, 'rotation' | 'arrows' | 'version' | 'createdAtMs'> & {
  thumbnail: Buffer | null
}

/** @returns null when the id was there already */
export async function insertAttachment(db: Db, a: NewAttachment, data: Buffer): Promise<Attachment | null> {
  const {
    rows: [row],
  } = await db.query<Attachment>(
    `insert into attachment (id, job_id, kind, name, mime, about, bytes, width, height, checksum, thumbnail)
     values ($1::uuid, $2::uuid, $3, $4, $5, $6, $7::int, $8::int, $9::int, $10, $11::bytea)
       on conflict (id) do nothing returning ${COLUMNS}`,
    [a.id, a.jobId, a.kind, a.name, a.mime, a.about, a.bytes, a.width, a.height, a.checksum, a.thumbnail],
  )
  if (!row) return null
  for (let ordinal = 0; ordinal * CHUNK_BYTES < data.length; ordinal++) {
    await db.query(
      'insert into attachment_chunk (attachment_id, ordinal, data) values ($1::uuid, $2::int, $3::bytea)',
      [a.id, ordinal, data.subarray(ordinal * CHUNK_BYTES, (ordinal + 1) * CHUNK_BYTES)],
    )
  }
  return row
}

/** Those of a job that were not put aside, the oldest first. */
export async function selectAttachments(db: Db, jobId: string): Promise<Attachment[]> {
  const { rows } = await db.query<Attachment>(
    `select ${COLUMNS} from attachment where job_id = $1::uuid and not put_aside order by created_at, id`,
    [jobId],
  )
  return rows
}

export async function selectAttachment(db: Db, id: string): Promise<Attachment | null> {
  const {
    rows: [row],
  } = await db.query<Attachment>(`select ${COLUMNS} from attachment where id = $1::uuid`, [id])
  return row ?? null
}

export async function selectThumbnail(db: Db, id: string): Promise<Buffer | null> {
  const {
    rows: [row],
  } = await db.query<{ thumbnail: Buffer | null }>('select thumbnail from attachment where id = $1::uuid', [
    id,
  ])
  return row?.thumbnail ?? null
}

/** One chunk after the other, so that a whole picture is never held twice. */
export async function* readChunks(db: Db, id: string): AsyncGenerator<Buffer> {
  for (let ordinal = 0; ; ordinal++) {
    const {
      rows: [row],
    } = await db.query<{ data: Buffer }>(
      'select data from attachment_chunk where attachment_id = $1::uuid and ordinal = $2::int',
      [id, ordinal],
    )
    if (!row) return
    yield row.data
  }
}

/** @returns null when there is no such attachment in that version */
export async function updateAttachment(
  db: Db,
  id: string,
  { version, rotation, arrows, name, putAside }: AttachmentPatch,
): Promise<Attachment | null> {
  const {
    rows: [row],
  } = await db.query<Attachment>(
    `update attachment set rotation = coalesce($3::smallint, rotation), arrows = coalesce($4::jsonb,
      arrows), name = coalesce($5, name),
       put_aside = coalesce($6::boolean, put_aside), version = version + 1
     where id = $1::uuid and version = $2::int returning ${COLUMNS}`,
    [id, version, rotation ?? null, arrows ? JSON.stringify(arrows) : null, name ?? null, putAside ?? null],
  )
  return row ?? null
}
