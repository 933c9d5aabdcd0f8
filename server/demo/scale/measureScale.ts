import { performance } from 'node:perf_hooks'
import { SHEETS } from '#core/sheet'
import { selectJobsAway, selectJobsHere, selectJobsOfSet } from '../../db/queries/job'
import { selectEvents, selectLastSeqs } from '../../db/queries/jobEvent'
import { selectCauses, selectSpread } from '../../db/queries/modelHistory'
import { searchJobs } from '../../db/queries/search'
import { pool } from '../../db/pool'
import { searchQuery, type SearchQuery } from '#shared/search'

const ROUNDS = 40
/** Tables that must never be read from end to end. */
const LARGE = ['job', 'job_event', 'reading', 'found_value', 'job_search', 'confirmed_cause']

export interface Timed {
  readonly p50Ms: number
  readonly p95Ms: number
  readonly maxMs: number
}

/**
 * Every query of the job list, the search, the history of a set and the spread of a model, over the line as
 * the server runs them.
 */
export async function measureScale(): Promise<{
  queries: Record<string, Timed>
  readWhole: Record<string, number>
  rows: Record<string, number>
}> {
  const before = await wholeReads()
  const queries = { ...(await timedJobs()), ...(await timedSearches()), ...(await timedHistories()) }
  const after = await wholeReads()
  return {
    queries,
    readWhole: Object.fromEntries(LARGE.map(t => [t, after[t]! - before[t]!])),
    rows: await counts(),
  }
}

const sheetOf = (i: number) => SHEETS[i % SHEETS.length]!
const cells = (i: number) =>
  sheetOf(i).matrix.flatMap(p => p.wants.map(w => ({ pointId: p.id, quantity: w.quantity })))
const WORDS = [
  'heron',
  'burnt track',
  'w-00421',
  'glue grebe',
  'regulator shorted',
  'deaf easter',
  'loose 3f',
  'lorry teal 31',
]
const wordsOf = (i: number) => WORDS[i % WORDS.length]!
const ask = (change: Partial<SearchQuery>) =>
  searchJobs(pool, { ...searchQuery.getDefault(), ...change } as SearchQuery, 51)

async function timedJobs() {
  return {
    jobList: await timed(async () => {
      const jobs = await selectJobsHere(pool)
      return Promise.all([
        selectLastSeqs(
          pool,
          jobs.map(j => j.id),
        ),
        selectJobsAway(pool, 6),
      ])
    }),
    eventsOfForty: await timed(async () => {
      const jobs = await selectJobsHere(pool)
      return selectEvents(
        pool,
        jobs.map(j => j.id),
      )
    }),
  }
}

async function timedSearches() {
  return {
    searchWords: await timed(i => ask({ words: wordsOf(i) })),
    searchFiltered: await timed(i => ask({ words: wordsOf(i), sheetId: sheetOf(i).id, state: 'away' })),
    searchCause: await timed(i => ask({ causeId: 'coils-off', sheetId: sheetOf(i).id })),
    searchNothing: await timed(() => ask({ words: 'zeppelin' })),
    newest: await timed(() => ask({})),
  }
}

async function timedHistories() {
  return {
    setHistory: await timed(async i => {
      const jobs = await selectJobsOfSet(pool, sheetOf(i).id, String(10_000 + i * 7), 10)
      return selectEvents(
        pool,
        jobs.map(j => j.id),
      )
    }),
    modelSpread: await timed(i => selectSpread(pool, sheetOf(i).id, cells(i), null)),
    typicalFaults: await timed(i => selectCauses(pool, sheetOf(i).id, null)),
  }
}

async function timed(work: (i: number) => Promise<unknown>): Promise<Timed> {
  const took: number[] = []
  for (let i = 0; i < ROUNDS + 3; i++) {
    const started = performance.now()
    await work(i)
    if (i >= 3) took.push(performance.now() - started)
  }
  took.sort((a, b) => a - b)
  const at = (share: number) =>
    Number(took[Math.min(took.length - 1, Math.floor(share * took.length))]!.toFixed(1))
  return { p50Ms: at(0.5), p95Ms: at(0.95), maxMs: at(1) }
}

async function wholeReads(): Promise<Record<string, number>> {
  // The statistics of this line's own reads reach the view a moment later.
  await pool.query('select pg_stat_force_next_flush()')
  await new Promise(resolve => setTimeout(resolve, 1500))
  const { rows } = await pool.query<{ relname: string; seq: number }>(
    'select relname, seq_scan::float8 as seq from pg_stat_user_tables where relname = any($1)',
    [LARGE],
  )
  return Object.fromEntries(rows.map(r => [r.relname, r.seq]))
}

async function counts(): Promise<Record<string, number>> {
  const { rows } = await pool.query<{ relname: string; n: number }>(
    'select relname, n_live_tup::float8 as n from pg_stat_user_tables where relname = any($1)',
    [LARGE],
  )
  return Object.fromEntries(rows.map(r => [r.relname, r.n]))
}
