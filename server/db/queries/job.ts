import type { SheetRef } from '#core/run'
import type { BenchOrder } from '#shared/bench'
import type { Job, JobChange } from '#shared/job'
import type { Db } from '../pool'

const COLUMNS = `id, number, version, owner, contact, sheet_id as "sheetId",
  sheet_revision as "sheetRevision", rule_set_id as "ruleSetId",
  serial, complaint, claims, accessories, box_note as "boxNote", may_do as "mayDo",
    promised_on as "promisedOn", owner_language as "ownerLanguage",
    on_bench as "onBench", bench, bench_order as "benchOrder", schools, created_at as "createdAtMs",
    exists (select from practice_session p where p.job_id = job.id) as "isPractice"`

const INSERT = `
  insert into job (id, owner, contact, sheet_id, sheet_revision, rule_set_id, serial, complaint,
    accessories, may_do, promised_on, claims, box_note, schools, owner_language)
  values ($1::uuid, $2, $3, $4, $5::int, $6, $7, $8, $9, $10, $11::date, $12::jsonb, $13, $14::jsonb, $15)
  on conflict (id) do nothing
  returning ${COLUMNS}`

export type NewJob = Omit<
  Job,
  'number' | 'version' | 'onBench' | 'bench' | 'benchOrder' | 'createdAtMs' | 'isPractice'
>

/** @returns the stored job, or null when the id was there already */
export async function insertJob(db: Db, j: NewJob): Promise<Job | null> {
  const { rows } = await db.query<Job>(INSERT, [
    j.id,
    j.owner,
    j.contact,
    j.sheetId,
    j.sheetRevision,
    j.ruleSetId,
    j.serial,
    j.complaint,
    j.accessories,
    j.mayDo,
    j.promisedOn || null,
    JSON.stringify(j.claims),
    j.boxNote ?? '',
    JSON.stringify(j.schools),
    j.ownerLanguage ?? '',
  ])
  return rows[0] ?? null
}

export async function selectJob(db: Db, id: string): Promise<Job | null> {
  const { rows } = await db.query<Job>(`select ${COLUMNS} from job where id = $1::uuid`, [id])
  return rows[0] ?? null
}

/** The same, and nobody else enters anything on it before this transaction ends. */
export async function lockJob(db: Db, id: string): Promise<Job | null> {
  const { rows } = await db.query<Job>(`select ${COLUMNS} from job where id = $1::uuid for no key update`, [
    id,
  ])
  return rows[0] ?? null
}

/** Everything that is here, bench by bench in the order in which it lies there, what came last on top. */
export async function selectJobsHere(db: Db): Promise<Job[]> {
  const { rows } = await db.query<Job>(
    `select ${COLUMNS} from job where on_bench order by bench nulls last, bench_order, number desc limit 500`,
  )
  return rows
}

/** What was handed over last. */
export async function selectJobsAway(db: Db, limit: number): Promise<Job[]> {
  const { rows } = await db.query<Job>(
    `select ${COLUMNS} from job where not on_bench and withdrawn_at is null order by number desc limit $1::int`,
    [limit],
  )
  return rows
}

/** How they lie, and nobody else moves them before this transaction ends. */
export async function lockBench(db: Db): Promise<BenchOrder> {
  const { rows } = await db.query<BenchOrder[number]>(
    `select id, bench from job where on_bench order by bench nulls last, bench_order, number desc limit 500
      for no key update`,
  )
  return rows
}

/** Puts jobs where they lie now; those that are not named stay where they are. */
export async function saveBenchOrder(db: Db, order: BenchOrder): Promise<void> {
  await db.query(
    `update job set bench = o.bench, bench_order = o.bench_order from unnest($1::uuid[], $2::int[], $3::int[]) as o (id,
      bench, bench_order) where job.id = o.id and job.on_bench`,
    [order.map(o => o.id), order.map(o => o.bench), order.map((_, i) => i + 1)],
  )
}

const COLUMN_OF: Record<keyof JobChange, string> = {
  owner: 'owner',
  contact: 'contact',
  ruleSetId: 'rule_set_id',
  serial: 'serial',
  complaint: 'complaint',
  claims: 'claims',
  accessories: 'accessories',
  boxNote: 'box_note',
  mayDo: 'may_do',
  ownerLanguage: 'owner_language',
  promisedOn: 'promised_on',
  onBench: 'on_bench',
}

/**
 * Changes the named fields only.
 * @param version the change was made from; null = whatever it is now
 * @returns null when there is no such job in that version
 */
export async function updateJob(
  db: Db,
  id: string,
  change: JobChange,
  version: number | null,
): Promise<Job | null> {
  const fields = (Object.keys(change) as (keyof JobChange)[]).filter(k => change[k] !== undefined)
  const set = [...fields.map((k, i) => `${COLUMN_OF[k]} = $${i + 3}`), 'version = version + 1'].join(', ')
  const { rows } = await db.query<Job>(
    `update job set ${set} where id = $1::uuid and ($2::int is null or version = $2::int) returning ${COLUMNS}`,
    [id, version, ...fields.map(k => toColumn(k, change))],
  )
  return rows[0] ?? null
}

/** node-postgres would turn a list into a PostgreSQL array; claims are JSON. An empty day is no day. */
function toColumn(field: keyof JobChange, patch: JobChange): unknown {
  if (field === 'claims') return JSON.stringify(patch.claims)
  return field === 'promisedOn' && patch.promisedOn === '' ? null : patch[field]
}

/** Out of the lists since then, or back on the bench (null). */
export async function withdrawJob(db: Db, id: string, atMs: number | null): Promise<void> {
  await db.query(
    `update job set withdrawn_at = to_timestamp($2::float8 / 1000), on_bench = $2::float8 is null,
      version = version + 1 where id = $1::uuid`,
    [id, atMs],
  )
}

/** Measured by another sheet from here on. */
export async function moveJob(db: Db, id: string, { sheetId, sheetRevision }: SheetRef): Promise<void> {
  await db.query(
    `update job set sheet_id = $2, sheet_revision = $3::int, version = version + 1 where id = $1::uuid`,
    [id, sheetId, sheetRevision],
  )
}

/** Jobs on real sets by their numbers, after one of them. */
export async function selectRealJobsAfter(db: Db, number: number, limit: number): Promise<Job[]> {
  const { rows } = await db.query<Job>(
    `select ${COLUMNS} from job where number > $1::int and withdrawn_at is null
      and not exists (select from practice_session p where p.job_id = job.id) order by number limit $2::int`,
    [number, limit],
  )
  return rows
}

/** Jobs of one set, newest first: of its model, and of what it was converted from or to. */
export async function selectJobsOfSet(
  db: Db,
  sheetId: string,
  serial: string,
  limit: number,
): Promise<Job[]> {
  const { rows } = await db.query<Job>(
    `with alike as (
       select id, sheet_id, sheet_as_found(id, sheet_id) as came from job
       where lower(serial) = lower($2) and withdrawn_at is null),
     models as (
       select $1 as model union select unnest(array[sheet_id, came]) from alike where $1 in (sheet_id, came))
     select ${COLUMNS} from job
     where id in (select id from alike where $1 = '' or sheet_id in (select model from models))
     order by number desc limit $3::int`,
    [sheetId, serial, limit],
  )
  return rows
}
