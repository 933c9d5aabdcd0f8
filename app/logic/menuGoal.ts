import { errorBound, type Accuracy } from '../../core/quantity'
import type { Asked, MenuGoal, RowState, RunState } from '../../core/run'

/** Menu values of one byte (common practice for such sets). */
const MOST_CODE = 255
/** Of an instrument that is not known [ratio]. */
const UNKNOWN_BOUND = 0.05

/** What a menu value may make at most: the upper bound of target and limit, with what the instrument cannot tell. null = nothing bounds it above */
export function menuGoal({ window, limit }: Asked, accuracy: Accuracy | null): MenuGoal | null {
  const bounds = [window?.high, limit?.high].filter((b): b is number => b != null)
  if (bounds.length === 0) return null
  const most = Math.min(...bounds)
  return { limit: most, boundRatio: accuracy ? errorBound(most, accuracy) / most : UNKNOWN_BOUND, maxCode: MOST_CODE }
}

/** The value that an entry was last left at in the run; steps turn their entries row by row. */
export function lastCode(run: RunState, entry: string): number | null {
  const steps = run.steps.filter(s => s.step.adjusters.includes(entry))
  for (const { step } of steps) {
    const at = Math.min(step.points.length - 1, step.adjusters.indexOf(entry))
    const found = run.history.readings.findLast(t => t.struck === null && t.row.stepId === step.id && t.row.pointId === step.points[at]!.id && t.reading.quantity === 'menuCode')
    if (found) return found.reading.value
  }
  return null
}

/** The value that an entry had as found: the only way back. Rows of menu values are named after their entry. */
export function originalCode(asFound: readonly RowState[], entry: string): number | null {
  const row = asFound.find(r => r.point.id === `menu-${entry}`) ?? asFound.find(r => r.point.wants.some(w => w.quantity === 'menuCode') && new RegExp(`\\b${entry.replace(/[^\w-]/g, '')}\\b`).test(r.point.title))
  return row?.cells.find(c => c.want.quantity === 'menuCode')?.latest?.reading.value ?? null
}
