import type { Db } from '../pool'

/** A row as it travels: all of its columns, named as everywhere outside of the database. */
export type Row = Readonly<Record<string, unknown>>

/**
 * What of each table travels from workshop to workshop. A table that is in neither list fails a test: nothing
 * is left behind without somebody having said so.
 */
export const TABLES_OF_JOB = [
  'handover_issue',
  'handover_paper',
  'attachment',
  'recording',
  'practice_session',
] as const
export const TABLES_OF_WORKSHOP = [
  'sheet_revision',
  'sheet_picture',
  'own_rule_set',
  'drawer_part',
  'blocked_period',
  'saved_view',
  'instrument',
  'shop_choice',
] as const
/** Jobs, their entries and readings, and the pieces of files travel in ways of their own. */
export const TABLES_BESIDE = ['job', 'job_event', 'reading', 'attachment_chunk', 'recording_chunk'] as const
/** Who may sign in, what is secret, and what is made from the rest. */
export const TABLES_THAT_STAY = [
  'workshop',
  'person',
  'session',
  'known_browser',
  'passkey',
  'passkey_challenge',
  'audit_entry',
  'handover_link',
  'job_search',
  'found_value',
  'confirmed_cause',
  'index_pending',
  'schema_version',
] as const
export type TransferTable = 'job' | (typeof TABLES_OF_JOB)[number] | (typeof TABLES_OF_WORKSHOP)[number]

/** Columns of bytes: they travel as files. */
const BYTES: Partial<Record<TransferTable, string>> = {
  handover_paper: 'paper',
  attachment: 'thumbnail',
  sheet_picture: 'data',
}
/** A piece of a recording or a photo, as the table of the pieces bears it [bytes]. */
const CHUNK_BYTES = { attachment: 262_144, recording: 1_048_576 } as const
export type Chunked = keyof typeof CHUNK_BYTES

const camel = (column: string) => column.replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase())
const snake = (field: string) => field.replace(/[A-Z]/g, letter => `_${letter.toLowerCase()}`)
const renamed = (row: Row, name: (key: string) => string): Row =>
  Object.fromEntries(Object.entries(row).map(([key, value]) => [name(key), value]))

/** Rows of a table, of one job (null: those of none) or all of them, without their bytes. */
export async function selectRows(db: Db, table: TransferTable, jobId?: string | null): Promise<Row[]> {
  const column = table === 'job' ? 'id' : 'job_id'
  const where = jobId === undefined ? '' : `where ${column} is not distinct from $1::uuid`
  const whole = table === 'recording' ? `${where === '' ? 'where' : `${where} and`} complete` : where
  const bytes = BYTES[table] === undefined ? '' : ` - '${BYTES[table]}'`
  const { rows } = await db.query<{ row: Row }>(
    `select to_jsonb(t)${bytes} as row from ${table} t ${whole} order by t::text`,
    jobId === undefined ? [] : [jobId],
  )
  return rows.map(({ row }) => renamed(row, camel))
}

/** Bytes of a row, in its column of bytes; null = it has none. */
export async function selectBytes(
  db: Db,
  table: TransferTable,
  key: Readonly<Record<string, unknown>>,
): Promise<Buffer | null> {
  const where = Object.keys(key).map((k, i) => `${snake(k)}::text = $${i + 1}::text`)
  const { rows } = await db.query<{ bytes: Buffer | null }>(
    `select ${BYTES[table]} as bytes from ${table} where ${where.join(' and ')}`,
    Object.values(key).map(String),
  )
  return rows[0]?.bytes ?? null
}

/**
 * A row as it came, with the columns that the table has here; what it does not name gets its default.
 * @param bytes for the column of bytes
 * @returns false when such a row is here already, or one that must be the only one of its kind
 */
export async function insertRow(
  db: Db,
  table: TransferTable,
  row: Row,
  bytes: Buffer | null = null,
): Promise<boolean> {
  const given = renamed(row, snake)
  const column = BYTES[table]
  const values = bytes && column !== undefined ? { ...given, [column]: `\\x${bytes.toString('hex')}` } : given
  const columns = (await columnsOf(db, table)).filter(c => c in values).map(c => `"${c}"`)
  const { rowCount } = await db.query(
    `insert into ${table} (${columns.join(', ')})
      select ${columns.join(', ')} from jsonb_populate_record(null::${table}, $1::jsonb)
      on conflict do nothing`,
    [JSON.stringify(values)],
  )
  return rowCount === 1
}

async function columnsOf(db: Db, table: TransferTable): Promise<string[]> {
  const { rows } = await db.query<{ name: string }>(
    `select column_name as name from information_schema.columns
      where table_schema = current_schema() and table_name = $1`,
    [table],
  )
  return rows.map(r => r.name)
}

/** Keeps the bytes of a photo or a recording, a piece at a time. */
export async function insertChunks(
  db: Db,
  table: Chunked,
  id: string,
  pieces: AsyncIterable<Buffer>,
): Promise<void> {
  let ordinal = 0
  for await (const piece of pieces)
    for (let at = 0; at < piece.length; at += CHUNK_BYTES[table])
      await db.query(
        `insert into ${table}_chunk (${table}_id, ordinal, data) values ($1::uuid, $2::int, $3::bytea)`,
        [id, ordinal++, piece.subarray(at, at + CHUNK_BYTES[table])],
      )
}

/** The next number that no job bears. */
export async function freeNumber(db: Db): Promise<number> {
  const { rows } = await db.query<{ next: number }>('select coalesce(max(number), 0) + 1 as next from job')
  return rows[0]!.next
}

export async function isNumberTaken(db: Db, number: number): Promise<boolean> {
  return (await db.query('select from job where number = $1::int', [number])).rowCount === 1
}

/** The next job that is booked in gets a number beyond all that are here. */
export async function continueNumbers(db: Db): Promise<void> {
  await db.query(
    `select setval(pg_get_serial_sequence('job', 'number'), greatest((select max(number) from job),
      (select last_value from job_number_seq)))`,
  )
}
