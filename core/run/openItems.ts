import { STATUS_CODES } from './stepState'
import { message, type Message } from '../message'
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
    | 'as-found-doubtful'
    | 'more-than-kind'
    | 'question'
    | 'wait'
    | 'ask-owner'
    | 'reminder'
    | 'after-final'
    | 'soak'
    | 'settings-missing'
    | 'put-back'
  /** a text of the sheet or of a person, or a message */
  readonly detail: string | Message
  /** words with which it was settled, or null while it is open */
  readonly settled: string | null
}

/** What is open, before it is known whether words have settled it. */
export interface Unsettled extends Omit<OpenItem, 'settled'> {
  /** place of the entry since which it is as it is: words said before speak of something else */
  readonly since?: number
}

/** What a job asks of its sheet: less than all of it, where its kind does not ask for it. */
export interface Asked {
  readonly owed: ModelSheet['owed']
  readonly steps: RunState['steps']
  readonly asFound: readonly RowState[]
  readonly asLeft: readonly RowState[]
}

/**
 * Everything that is not done of what is asked.
 * @param more open work that does not follow from readings
 */
export function openItems(
  run: RunState,
  { owed, steps, asFound, asLeft }: Asked,
  more: readonly Unsettled[] = [],
): OpenItem[] {
  const settledBy = (id: string, since: number) =>
    run.settled.findLast(s => s.itemId === id && s.order > since)?.text ?? null
  const items: Unsettled[] = [
    ...owed.map(o => ({ id: o.id, title: o.title, kind: 'owed' as const, detail: o.why })),
    ...steps.flatMap(s => stepItems(s, run).map(i => ({ ...i, since: lastWorkOn(run, i.id) }))),
    ...asFound
      .filter(r => r.isOpen)
      .map(r => ({
        id: `as-found:${r.point.id}`,
        title: r.point.title,
        kind: 'as-found-missing' as const,
        detail: missingOf(r, 'before'),
      })),
    ...asLeft.flatMap(rowItems),
    ...more,
  ]
  return items.map(({ since = -1, ...i }) => ({ ...i, settled: settledBy(i.id, since) }))
}

/** Place of the last entry of a step that measured or turned something; -1 = none. */
function lastWorkOn({ history: { readings, turns } }: RunState, stepId: string): number {
  const measured = readings.filter(t => t.row.stepId === stepId).map(t => t.order)
  return Math.max(-1, ...measured, ...turns.filter(t => t.stepId === stepId).map(t => t.order))
}

function stepItems(state: RunState['steps'][number], run: RunState): Unsettled[] {
  const { id, title } = state.step
  if (
    state.satisfied &&
    state.confirmed?.outcome === 'as-is' &&
    !state.step.decides &&
    state.status !== 'inside' &&
    state.status !== 'measured'
  ) {
    return [{ id, title, kind: 'accepted-as-is', detail: state.confirmed.reason }]
  }
  if (state.satisfied) return []
  if (state.status === 'skipped')
    return [{ id, title, kind: 'skipped', detail: state.confirmed?.reason ?? '' }]
  const missing = missingNeeds(run.steps, id)
    .map(s => s.step.id)
    .join(', ')
  return [
    {
      id,
      title,
      kind: 'step-open',
      detail: missing ? message('item.waitingFor', { list: missing }) : message(STATUS_CODES[state.status]),
    },
  ]
}

const WHEN = {
  before: { all: 'item.notMeasuredBefore', some: 'item.someNotMeasuredBefore' },
  end: { all: 'item.notMeasuredAtEnd', some: 'item.someNotMeasuredAtEnd' },
} as const

/** Of a row that was taken in part only what is missing is missing. */
function missingOf({ cells }: RowState, when: keyof typeof WHEN): Message {
  const missing = cells.filter(c => !c.latest).map(c => c.want.quantity)
  return missing.length === cells.length
    ? message(WHEN[when].all)
    : message(WHEN[when].some, { list: missing.map(q => ({ term: quantityInfo(q).label })) })
}

function rowItems(row: RowState): Unsettled[] {
  const id = `as-left:${row.point.id}`
  const title = row.point.title
  if (!row.complete && !row.point.isOptional)
    return [{ id, title, kind: 'as-left-missing', detail: missingOf(row, 'end') }]
  const taken = row.cells.flatMap(c => (c.latest ? [c.latest] : []))
  if (row.stale) {
    const since = Math.max(...taken.flatMap(t => t.staleBy.map(turn => turn.order)))
    return [{ id, title, kind: 'as-left-stale', detail: message('item.adjustedSince'), since }]
  }
  const outside = row.cells.find(c => c.judgement && c.judgement.verdict !== 'inside')
  return outside
    ? [
        {
          id,
          title,
          kind: 'as-left-outside',
          detail: message(STATUS_CODES[outside.judgement!.verdict]),
          since: Math.max(...taken.map(t => t.order)),
        },
      ]
    : []
}
