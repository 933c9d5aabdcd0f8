import type { ModelHistory } from '#shared/search'
import { pool } from '../db/pool'
import { countJobsOfModel, selectCauses, selectSpread } from '../db/queries/modelHistory'
import { freshIndex } from './jobIndex'
import { requireSheet } from './sheetBook'

/**
 * What is known of a model from every set of it that came: spread as found, typical faults.
 * @param jobId of a set to be marked in it
 */
export async function modelHistory(sheetId: string, jobId: string | null): Promise<ModelHistory> {
  await freshIndex()
  const cells = (await requireSheet(pool, sheetId)).matrix.flatMap(p =>
    p.wants.map(w => ({ pointId: p.id, quantity: w.quantity })),
  )
  const [jobs, spread, causes] = await Promise.all([
    countJobsOfModel(pool, sheetId),
    selectSpread(pool, sheetId, cells, jobId),
    selectCauses(pool, sheetId, jobId),
  ])
  const order = new Map(cells.map((c, i) => [`${c.pointId}/${c.quantity}`, i]))
  return {
    sheetId,
    jobs,
    causes,
    spread: [...spread].sort(
      (a, b) => order.get(`${a.pointId}/${a.quantity}`)! - order.get(`${b.pointId}/${b.quantity}`)!,
    ),
  }
}
