import { inTransaction, pool } from '../db/pool'
import { indexPending, markForIndex } from '../db/queries/jobIndex'
import type { Db } from '../db/pool'
import { log } from '../utils/log'

/** Quiet time after the last change before the index is made [ms]: a run of presses costs one. */
const QUIET_MS = 1500

let timer: ReturnType<typeof setTimeout> | null = null

/**
 * Notes within a transaction that the job's index is out of date; it is made when the bench is quiet, or when
 * somebody looks.
 */
export async function indexLater(db: Db, jobId: string): Promise<void> {
  await markForIndex(db, jobId)
  if (timer) clearTimeout(timer)
  timer = setTimeout(() => {
    timer = null
    freshIndex().catch((error: Error) =>
      log.warn({ error: error.message }, 'index of jobs not made, left for the next time'),
    )
  }, QUIET_MS)
  timer.unref()
}

/** Whoever searches sees everything that was kept before, also after the server was killed. */
export async function freshIndex(): Promise<void> {
  const {
    rows: [row],
  } = await pool.query<{ waiting: boolean }>('select exists (select from index_pending) as waiting')
  if (!row!.waiting) return
  while (await inTransaction(indexPending)) {
    /* until nothing is left */
  }
}
