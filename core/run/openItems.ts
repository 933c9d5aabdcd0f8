import { quantityInfo } from '../quantity'
import type { ModelSheet } from '../sheet'
import type { RowState } from './matrixState'
import { missingNeeds, type RunState } from './runState'

/** Something that must be settled or handed over in words. */
export interface OpenItem {
  readonly id: string
  readonly title: string
  readonly kind:
    | 'owed'
    | 'step-open'
    | 'accepted-as-is'
    | 'skipped'
    | 'as-found-missing'
    | 'as-left-missing'
    | 'as-left-stale'
    | 'as-left-outside'
    | 'as-left-doubtful'
    | 'question'
    | 'wait'
    | 'ask-owner'
    | 'reminder'
    | 'after-final'
    | 'soak'
  readonly detail: string
  /** words with which it was settled, or null while it is open */
  readonly settled: string | null
}

/**
 * Everything that is not done, from the sheet, the run and both matrices.
 * @param more open work that does not follow from readings
 */
export function openItems(
  sheet: ModelSheet,
  run: RunState,
  asFound: readonly RowState[],
  asLeft: readonly RowState[],
  more: readonly Omit<OpenItem, 'settled'>[] = [],
): OpenItem[] {
  const settledBy = (id: string) => run.settled.findLast(s => s.itemId === id)?.text ?? null
  const items: Omit<OpenItem, 'settled'>[] = [
    ...sheet.owed.map(o => ({ id: o.id, title: o.title, kind: 'owed' as const, detail: o.why })),
    ...run.steps.flatMap(s => stepItems(s, run)),
    ...asFound
      .filter(r => !r.complete)
      .map(r => ({
        id: `as-found:${r.point.id}`,
        title: r.point.title,
        kind: 'as-found-missing' as const,
        detail: missingWords(r, 'before work began'),
      })),
    ...asLeft.flatMap(rowItems),
    ...more,
  ]
  return items.map(i => ({ ...i, settled: settledBy(i.id) }))
}

function stepItems(state: RunState['steps'][number], run: RunState): Omit<OpenItem, 'settled'>[] {
  const { id, title } = state.step
  if (
    state.satisfied &&
    state.confirmed?.outcome === 'as-is' &&
    !state.step.decides &&
    state.status !== 'inside'
  ) {
    return [{ id, title, kind: 'accepted-as-is', detail: state.confirmed.reason }]
  }
  if (state.satisfied) return []
  if (state.status === 'skipped')
    return [{ id, title, kind: 'skipped', detail: state.confirmed?.reason ?? '' }]
  const missing = missingNeeds(run.steps, id)
    .map(s => s.step.id)
    .join(', ')
  return [{ id, title, kind: 'step-open', detail: missing ? `waiting for ${missing}` : state.status }]
}

/** Of a row that was taken in part only what is missing is missing. */
function missingWords({ cells }: RowState, when: string): string {
  const missing = cells.filter(c => !c.latest)
  if (missing.length === cells.length) return `not measured ${when}`
  return `${missing.map(c => quantityInfo(c.want.quantity).label.toLowerCase()).join(', ')} not measured ${when}`
}

function rowItems(row: RowState): Omit<OpenItem, 'settled'>[] {
  const id = `as-left:${row.point.id}`
  const title = row.point.title
  if (!row.complete) return [{ id, title, kind: 'as-left-missing', detail: missingWords(row, 'at the end') }]
  if (row.stale)
    return [{ id, title, kind: 'as-left-stale', detail: 'something was adjusted after it was measured' }]
  const outside = row.cells.find(c => c.judgement && c.judgement.verdict !== 'inside')
  return outside ? [{ id, title, kind: 'as-left-outside', detail: outside.judgement!.verdict }] : []
}
