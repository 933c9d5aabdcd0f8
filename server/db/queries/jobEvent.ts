import type { Bound, Reading, Spread } from '#core/quantity'
import { WITH_READINGS, type JobEvent } from '#core/run'
import { eventDigest } from '../eventChain'
import type { Db } from '../pool'

/** The chain goes on from the last entry of the job: whoever inserts has the job locked. */
const INSERT_EVENT = `
  insert into job_event (id, job_id, kind, at, body, chain)
  values ($1::uuid, $2::uuid, $3, to_timestamp($4::float8 / 1000), $5::jsonb, sha256(coalesce((
    select e.chain from job_event e where e.job_id = $2::uuid and e.chain is not null order by e.seq desc limit 1
  ), ''::bytea) || $6::bytea))
  on conflict (id) do nothing
  returning seq`

const INSERT_READINGS = `
  insert into reading (id, event_id, ordinal, quantity, value_si, standard_uncertainty, source, instrument,
    bound, full_scale, spread)
  select r.id, $1::uuid, r.ordinal, r.quantity, r.value, r.u, r.source, r.instrument, r.bound, r.scale, r.spread
  from unnest($2::uuid[], $3::int[], $4::text[], $5::float8[], $6::float8[], $7::text[], $8::text[],
    $9::text[], $10::float8[], $11::text[])
    as r (id, ordinal, quantity, value, u, source, instrument, bound, scale, spread)`

const SELECT = `
  select e.id, e.job_id as "jobId", e.kind, (extract(epoch from e.at) * 1000)::float8 as "atMs", e.body
  from job_event e`

/**
 * Readings of events in one flat answer: put together here they cost a third of what JSON made per event
 * costs.
 */
const SELECT_READINGS = `
  select r.event_id as "eventId", r.id, r.quantity, r.value_si as value,
    r.standard_uncertainty as "standardUncertainty", r.source, r.instrument, r.bound,
    r.full_scale as "fullScale", r.spread
  from job_event e join reading r on r.event_id = e.id`

interface Row {
  id: string
  jobId: string
  kind: JobEvent['kind']
  atMs: number
  body: Record<string, unknown>
}
interface ReadingRow extends Omit<Reading, 'bound' | 'fullScale' | 'spread'> {
  eventId: string
  bound: Bound | null
  fullScale: number | null
  spread: Spread | null
}

/**
 * @param db in a transaction that has the job locked
 * @returns false when an event of this id was stored before (nothing is written then)
 */
export async function insertEvent(db: Db, jobId: string, event: JobEvent): Promise<boolean> {
  const { id, kind, atMs, ...rest } = event
  const { readings = [], ...body } = rest as { readings?: readonly Reading[] }
  const { rowCount } = await db.query(INSERT_EVENT, [
    id,
    jobId,
    kind,
    atMs,
    JSON.stringify(body),
    eventDigest(event),
  ])
  if (rowCount === 0) return false
  if (readings.length > 0) {
    await db.query(INSERT_READINGS, [
      id,
      readings.map(r => r.id),
      readings.map((_, i) => i),
      readings.map(r => r.quantity),
      readings.map(r => r.value),
      readings.map(r => r.standardUncertainty),
      readings.map(r => r.source),
      readings.map(r => r.instrument),
      readings.map(r => r.bound ?? null),
      readings.map(r => r.fullScale ?? null),
      readings.map(r => r.spread ?? null),
    ])
  }
  return true
}

/** The events of jobs, each job's in order. */
export async function selectEvents(db: Db, jobIds: readonly string[]): Promise<Map<string, JobEvent[]>> {
  const { rows } = await db.query<Row>(`${SELECT} where e.job_id = any($1::uuid[]) order by e.seq`, [jobIds])
  const readings = byEvent(
    (
      await db.query<ReadingRow>(
        `${SELECT_READINGS} where e.job_id = any($1::uuid[]) and e.kind = any($2::text[])
          order by r.event_id, r.ordinal`,
        [jobIds, WITH_READINGS],
      )
    ).rows,
  )
  const byJob = new Map<string, JobEvent[]>(jobIds.map(id => [id, []]))
  for (const row of rows) byJob.get(row.jobId)!.push(toEvent(row, readings))
  return byJob
}

/**
 * Number of the last event of each job: what was computed up to it still holds. Jobs without events are not
 * in it.
 */
export async function selectLastSeqs(db: Db, jobIds: readonly string[]): Promise<Map<string, number>> {
  const { rows } = await db.query<{ jobId: string; seq: number }>(
    `select j.id as "jobId", last.seq from unnest($1::uuid[]) as j (id) cross join lateral (select e.seq
      from job_event e where e.job_id = j.id order by e.seq desc limit 1) last`,
    [jobIds],
  )
  return new Map(rows.map(r => [r.jobId, r.seq]))
}

/** Events of a job of certain kinds that carry no readings, in order. */
export async function selectEventsOfKinds(
  db: Db,
  jobId: string,
  kinds: readonly Exclude<JobEvent['kind'], (typeof WITH_READINGS)[number]>[],
): Promise<JobEvent[]> {
  const { rows } = await db.query<Row>(
    `${SELECT} where e.job_id = $1::uuid and e.kind = any($2::text[]) order by e.seq`,
    [jobId, kinds],
  )
  return rows.map(row => toEvent(row, new Map()))
}

/** Entries of a trainee on a job, released or not. */
export async function selectUnreleasedIds(db: Db, jobId: string): Promise<string[]> {
  const { rows } = await db.query<{ id: string }>(
    `select id from job_event where job_id = $1::uuid and body ? 'unreleased'`,
    [jobId],
  )
  return rows.map(r => r.id)
}

export async function countEvents(db: Db, jobId: string): Promise<number> {
  const { rows } = await db.query<{ count: number }>(
    'select count(*)::int as count from job_event where job_id = $1',
    [jobId],
  )
  return rows[0]!.count
}

export async function selectEvent(db: Db, id: string): Promise<{ jobId: string; event: JobEvent } | null> {
  const {
    rows: [row],
  } = await db.query<Row>(`${SELECT} where e.id = $1::uuid`, [id])
  if (!row) return null
  const { rows } = await db.query<ReadingRow>(`${SELECT_READINGS} where e.id = $1::uuid order by r.ordinal`, [
    id,
  ])
  return { jobId: row.jobId, event: toEvent(row, byEvent(rows)) }
}

function byEvent(rows: readonly ReadingRow[]): Map<string, Reading[]> {
  const readings = new Map<string, Reading[]>()
  for (const { eventId, bound, fullScale, spread, ...reading } of rows) {
    const of = readings.get(eventId) ?? []
    of.push({
      ...reading,
      ...(bound === null ? {} : { bound }),
      ...(fullScale === null ? {} : { fullScale }),
      ...(spread === null ? {} : { spread }),
    })
    readings.set(eventId, of)
  }
  return readings
}

export async function readingBelongsTo(db: Db, readingId: string, jobId: string): Promise<boolean> {
  const { rowCount } = await db.query(
    'select 1 from reading r join job_event e on e.id = r.event_id where r.id = $1::uuid and e.job_id = $2::uuid',
    [readingId, jobId],
  )
  return rowCount === 1
}

const carriesReadings = (kind: string) => (WITH_READINGS as readonly string[]).includes(kind)

function toEvent({ id, kind, atMs, body }: Row, readings: ReadonlyMap<string, Reading[]>): JobEvent {
  const event = { id, kind, atMs, ...body }
  return (carriesReadings(kind) ? { ...event, readings: readings.get(id) ?? [] } : event) as JobEvent
}
