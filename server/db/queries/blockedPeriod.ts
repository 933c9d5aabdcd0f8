import type { BlockedPeriod } from '#core/work'
import type { Db } from '../pool'

/** Periods that are not over, the nearest first. */
export async function selectBlocked(db: Db, todayIso: string): Promise<BlockedPeriod[]> {
  const { rows } = await db.query<BlockedPeriod>(
    `select id, from_day as "fromDay", to_day as "toDay", why from blocked_period where to_day >= $1::date
      order by from_day, to_day`,
    [todayIso],
  )
  return rows
}

/** Kept once, however often it is sent. */
export async function insertBlocked(db: Db, p: BlockedPeriod): Promise<void> {
  await db.query(
    `insert into blocked_period (id, from_day, to_day, why) values ($1::uuid, $2::date, $3::date, $4)
      on conflict (id) do nothing`,
    [p.id, p.fromDay, p.toDay, p.why],
  )
}

export async function deleteBlocked(db: Db, id: string): Promise<void> {
  await db.query('delete from blocked_period where id = $1::uuid', [id])
}
