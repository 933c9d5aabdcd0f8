import { HEX_BYTE, errorBound, type Accuracy, type MenuFormat } from '../../quantity'
import type { Requirement } from '../judgeReading'
import type { RowState } from '../matrixState'
import type { MenuGoal } from '../menu'
import type { RunState } from '../runState'

/** Of an instrument that is not known [ratio]. */
const UNKNOWN_BOUND = 0.05

/**
 * What a menu value may make at most: the upper bound of target and limit, with what the instrument cannot
 * tell. null = nothing bounds it above
 */
export function menuGoal(
  { window, limit }: Requirement,
  accuracy: Accuracy | null,
  format: Pick<MenuFormat, 'min' | 'max'> = HEX_BYTE,
): MenuGoal | null {
  const bounds = [window?.high, limit?.high].filter((b): b is number => b != null)
  if (bounds.length === 0) return null
  const most = Math.min(...bounds)
  const least = Math.max(...[window?.low, limit?.low].filter((b): b is number => b != null))
  return {
    limit: most,
    least: Number.isFinite(least) ? least : null,
    boundRatio: accuracy ? errorBound(most, accuracy) / most : UNKNOWN_BOUND,
    minCode: format.min,
    maxCode: format.max,
  }
}

/**
 * The value that an entry was last left at in the run, whichever step wrote it; steps turn their entries row
 * by row.
 */
export function lastCode(run: RunState, entry: string): number | null {
  const cells = run.steps
    .filter(s => s.step.adjusters.includes(entry))
    .map(({ step }) => ({
      stepId: step.id,
      pointId: step.points[Math.min(step.points.length - 1, step.adjusters.indexOf(entry))]!.id,
    }))
  const written = run.history.readings.findLast(
    t =>
      t.struck === null &&
      t.reading.quantity === 'menuCode' &&
      cells.some(p => p.stepId === t.row.stepId && p.pointId === t.row.pointId),
  )
  return written?.reading.value ?? null
}

/**
 * The value that an entry had as found: the only way back. Rows of menu values are named after their entry.
 */
export function originalCode(asFound: readonly RowState[], entry: string): number | null {
  const row =
    asFound.find(r => r.point.id === `menu-${entry}`) ??
    asFound.find(
      r =>
        r.point.wants.some(w => w.quantity === 'menuCode') &&
        new RegExp(`\\b${entry.replace(/[^\w-]/g, '')}\\b`).test(r.point.title),
    )
  return row?.cells.find(c => c.want.quantity === 'menuCode')?.latest?.reading.value ?? null
}
