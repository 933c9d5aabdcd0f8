import type { BenchMove, BenchOrder } from '#shared/bench'
import { t } from '#shared/i18n'
import { inTransaction } from '../db/pool'
import { lockBench, saveBenchOrder } from '../db/queries/job'
import { ApiError } from '../utils/apiError'

/**
 * Puts jobs where they lie now.
 * @throws {ApiError} changed-meanwhile: somebody moved one of them since; what came or went does not matter
 */
export function orderBench({ order, was }: BenchMove): Promise<void> {
  return inTransaction(async db => {
    const now = await lockBench(db)
    if (orderOf(was, now) !== orderOf(now, was))
      throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasMovedASet'))
    await saveBenchOrder(db, order)
  })
}

/** Where those lie that the other list has too. */
function orderOf(list: BenchOrder, other: BenchOrder): string {
  const there = new Set(other.map(job => job.id))
  return list
    .filter(job => there.has(job.id))
    .map(job => `${job.id} ${job.bench}`)
    .join()
}
