import { localDay } from '#shared/words/dateWords'
import type { BlockedPeriod } from '#core/work'
import { pool } from '../db/pool'
import { deleteBlocked, insertBlocked, selectBlocked } from '../db/queries/blockedPeriod'

export const blockedPeriods = () => selectBlocked(pool, localDay(Date.now()))

export async function block(period: BlockedPeriod): Promise<BlockedPeriod[]> {
  await insertBlocked(pool, period)
  return blockedPeriods()
}

export async function unblock(id: string): Promise<BlockedPeriod[]> {
  await deleteBlocked(pool, id)
  return blockedPeriods()
}
