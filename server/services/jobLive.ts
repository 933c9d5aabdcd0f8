import pg from 'pg'
import type { JobEvent } from '#core/run'
import type { RunPosition } from '#shared/jobLive'
import { pool, type Db } from '../db/pool'
import { selectEvent } from '../db/queries/jobEvent'
import { log } from '../utils/log'

/**
 * What the screens of a job are told: an entry that was kept, the place somebody is at, or that the
 * connection was lost and all should be read again.
 */
export type JobNews =
  | { readonly kind: 'event'; readonly event: JobEvent }
  | { readonly kind: 'position'; readonly position: RunPosition }
  | { readonly kind: 'again' }
type Listener = (news: JobNews) => void

const CHANNEL = 'job_news'
const AGAIN_MS = 1000
const listeners = new Map<string, Set<Listener>>()
let listener: pg.Client | null = null

/** Told to every process in front of this database when the transaction holds. */
export async function tellEvent(db: Db, jobId: string, eventId: string): Promise<void> {
  await db.query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify({ jobId, eventId })])
}
export async function tellPosition(jobId: string, position: RunPosition): Promise<void> {
  await pool.query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify({ jobId, position })])
}

/** @returns how to stop listening */
export function listenToJob(jobId: string, tell: Listener): () => void {
  const of = listeners.get(jobId) ?? new Set()
  of.add(tell)
  listeners.set(jobId, of)
  void open()
  return () => {
    of.delete(tell)
    if (of.size === 0) listeners.delete(jobId)
  }
}

/** One connection of this process to the database, for all jobs that are looked at. */
async function open() {
  if (listener) return
  const client = (listener = new pg.Client({
    connectionString: process.env.DATABASE_URL,
    connectionTimeoutMillis: 2000,
    keepAlive: true,
  }))
  client.on('error', lost)
  client.on('end', lost)
  client.on('notification', ({ payload }) => void pass(payload ?? ''))
  try {
    await client.connect()
    await client.query(`listen ${CHANNEL}`)
    for (const of of listeners.values()) of.forEach(tell => tell({ kind: 'again' }))
  } catch (error) {
    log.warn({ error: (error as Error).message }, 'no connection for live news of jobs, tried again')
    lost()
  }
  function lost() {
    if (listener !== client) return
    listener = null
    client.end().catch(() => {})
    if (listeners.size > 0) setTimeout(() => void open(), AGAIN_MS).unref()
  }
}

async function pass(payload: string) {
  const { jobId, eventId, position } = JSON.parse(payload) as {
    jobId: string
    eventId?: string
    position?: RunPosition
  }
  const of = listeners.get(jobId)
  if (!of) return
  if (position) return of.forEach(tell => tell({ kind: 'position', position }))
  const found = await selectEvent(pool, eventId!).catch(() => null)
  of.forEach(tell => tell(found ? { kind: 'event', event: found.event } : { kind: 'again' }))
}
