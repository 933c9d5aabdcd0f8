import type { FoundJob, SavedView, SearchQuery } from '#shared/search'
import type { Db } from '../pool'

/** A trigram index needs three letters; shorter words only narrow what the others found. */
const INDEXED_LETTERS = 3
/** With short words alone every job has to be read: only the newest are. */
export const NEWEST_JOBS = 5000

const FIELDS = `j.id, j.number, j.owner, j.sheet_id as "sheetId", j.serial, j.complaint, j.on_bench as "onBench",
    j.withdrawn_at is not null as "isWithdrawn", j.created_at as "createdAtMs"`

/** Where a job is, as the lists say it. */
const STATES = {
  bench: 'j.on_bench',
  away: 'not j.on_bench and j.withdrawn_at is null',
  withdrawn: 'j.withdrawn_at is not null',
} as const

/** Words as they are looked for. */
export function wordsOf(text: string): string[] {
  return text.toLocaleLowerCase().split(/\s+/).filter(Boolean)
}

/** Wildcards that somebody types are letters like any other. */
const pattern = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`

/**
 * Jobs that hold every word and pass every filter, the newest first.
 * Words are looked for in owner, model, serial, tag, complaint and whatever was written on the job, anywhere
 * in a word.
 */
export async function searchJobs(
  db: Db,
  q: SearchQuery,
  limit: number,
): Promise<Omit<FoundJob, 'excerpt'>[]> {
  const words = wordsOf(q.words)
  const params: unknown[] = [q.before ?? 2_147_483_647, limit]
  const param = (value: unknown) => `$${params.push(value)}`
  const key = words.length > 0 ? 's.number' : 'j.number'
  const where = [`${key} < $1::int`]
  if (q.sheetId) where.push(`j.sheet_id = ${param(q.sheetId)}`)
  if (q.state !== 'any') where.push(STATES[q.state])
  if (q.causeId)
    where.push(
      `exists (select from confirmed_cause c where c.job_id = j.id and c.cause_id = ${param(q.causeId)})`,
    )
  if (!isIndexed(words)) where.push(`${key} > (select coalesce(max(number), 0) from job) - ${NEWEST_JOBS}`)
  for (const word of words) where.push(`s.text like ${param(pattern(word))}`)
  const { rows } = await db.query<Omit<FoundJob, 'excerpt'>>(
    `select ${FIELDS} from ${words.length > 0 ? 'job_search s join job j on j.id = s.job_id' : 'job j'}
     where ${where.join(' and ')} order by ${key} desc limit $2::int`,
    params,
  )
  return rows
}

/**
 * The piece of a job's writing that holds one of the words, as it was written; jobs whose own line shows the
 * words have none.
 */
export async function selectPieces(
  db: Db,
  jobIds: readonly string[],
  words: readonly string[],
): Promise<Map<string, string>> {
  const { rows } = await db.query<{ jobId: string; piece: string }>(
    `select distinct on (p.job_id) p.job_id as "jobId", p.piece from (
       select id as job_id, unnest(array[accessories, box_note, may_do, contact]) as piece, 0 as seq
         from job where id = any($1::uuid[])
       union all select job_id, event_text(body), seq from job_event
         where job_id = any($1::uuid[]) and kind <> 'row-taken') p
     where lower(p.piece) like any($2::text[]) order by p.job_id, p.seq`,
    [jobIds, words.map(pattern)],
  )
  return new Map(rows.map(r => [r.jobId, r.piece]))
}

/** Whether an index serves these words. */
export function isIndexed(words: readonly string[]): boolean {
  return words.length === 0 || words.some(w => [...w].length >= INDEXED_LETTERS)
}

export async function selectViews(db: Db): Promise<SavedView[]> {
  const { rows } = await db.query<SavedView>('select id, name, query from saved_view order by lower(name)')
  return rows
}

/**
 * Keeps a view.
 * @param replaces the one of this name that it takes the place of; null = none has it
 * @returns null when another one has this name
 */
export async function upsertView(
  db: Db,
  view: SavedView,
  replaces: string | null,
): Promise<SavedView | null> {
  const { rows } = await db.query<SavedView>(
    `insert into saved_view (id, name, query) values ($1::uuid, $2, $3::jsonb)
     on conflict (lower(name)) do update set name = excluded.name, query = excluded.query
       where saved_view.id in ($1::uuid, $4::uuid) returning id, name, query`,
    [view.id, view.name, JSON.stringify(view.query), replaces],
  )
  return rows[0] ?? null
}

/** @returns whether it was there */
export async function deleteView(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from saved_view where id = $1::uuid', [id])
  return rowCount === 1
}
