import type { ModelHistory, SpreadCell } from '#shared/search'
import type { Db } from '../pool'

/**
 * Sets of a model that a spread counts: the last ones, so that the picture follows the times and stays quick.
 */
export const SPREAD_SETS = 250

const SPREAD = `
  select c.point_id as "pointId", c.quantity, count(v.value_si)::int as count,
    percentile_cont(array[0.1, 0.25, 0.5, 0.75, 0.9]) within group (order by v.value_si) as quantiles,
    (select o.value_si from found_value o where o.job_id = $4::uuid and o.point_id = c.point_id
      and o.quantity = c.quantity) as own
  from unnest($2::text[], $3::text[]) as c (point_id, quantity)
  cross join lateral (
    select f.value_si from found_value f
    where f.sheet_id = $1 and f.point_id = c.point_id and f.quantity = c.quantity
    order by f.job_number desc limit ${SPREAD_SETS}) v
  group by c.point_id, c.quantity`

/**
 * Spread of the cells asked for, over the last sets of the model.
 * @param jobId of the set that is marked in it, or null
 */
export async function selectSpread(
  db: Db,
  sheetId: string,
  cells: readonly { pointId: string; quantity: string }[],
  jobId: string | null,
): Promise<SpreadCell[]> {
  const { rows } = await db.query<{
    pointId: string
    quantity: string
    count: number
    quantiles: number[]
    own: number | null
  }>(SPREAD, [sheetId, cells.map(c => c.pointId), cells.map(c => c.quantity), jobId])
  return rows.map(({ quantiles: [p10, p25, p50, p75, p90], ...row }) => ({
    ...row,
    p10: p10!,
    p25: p25!,
    p50: p50!,
    p75: p75!,
    p90: p90!,
  }))
}

/**
 * Causes confirmed on a model, the most frequent first.
 * @param except job that does not count: what was found in it would confirm itself
 */
export async function selectCauses(
  db: Db,
  sheetId: string,
  except: string | null,
): Promise<ModelHistory['causes']> {
  const { rows } = await db.query<ModelHistory['causes'][number]>(
    `select cause_id as "causeId", count(distinct job_id)::int as count from confirmed_cause
      where sheet_id = $1 and job_id is distinct from $2
      group by cause_id order by count desc, cause_id`,
    [sheetId, except],
  )
  return rows
}

/** Sets of a model that were here; simulated ones were not. */
export async function countJobsOfModel(db: Db, sheetId: string): Promise<number> {
  const {
    rows: [row],
  } = await db.query<{ count: number }>(
    `select count(*)::int as count from job where sheet_id = $1 and withdrawn_at is null
      and not exists (select from practice_session p where p.job_id = job.id)`,
    [sheetId],
  )
  return row!.count
}
