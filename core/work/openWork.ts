import { message } from '../message'
import { putBackItem, type JobEvent, type Unsettled } from '../run'
import type { ModelSheet } from '../sheet'
import { owedAfterFinal } from './afterFinal'
import { inspection, type Reminder } from './inspection'
import type { MadeTrueBy } from './reminderConditions'
import { runningSoak } from './soak'
import { questions, waits } from './waiting'

/**
 * What the work beside the readings leaves open: unanswered questions, waits, reminders that came true, what
 * a new final owes, a soak.
 */
export function openWork(
  sheet: ModelSheet,
  events: readonly JobEvent[],
  due: readonly Reminder[],
): Unsettled[] {
  return [
    ...openQuestions(events),
    ...openChecks(sheet, events, due),
    ...alteredItems(events),
    ...stillOwed(sheet, events),
  ]
}

/** What was changed on purpose: open until words say that it is as it was. */
const alteredItems = (events: readonly JobEvent[]): Unsettled[] =>
  events.flatMap(e =>
    e.kind === 'set-altered'
      ? [
          {
            id: putBackItem(e.id),
            title: e.text,
            kind: 'put-back' as const,
            detail: message('item.putBack'),
          },
        ]
      : [],
  )

function openQuestions(events: readonly JobEvent[]): Unsettled[] {
  return [
    ...questions(events)
      .filter(q => q.answered === null)
      .map(q => ({
        id: `question:${q.asked.id}`,
        title: q.asked.text,
        kind: 'question' as const,
        detail: message('item.notAnswered'),
      })),
    ...waits(events)
      .filter(w => w.ended === null)
      .map(w => ({
        id: `wait:${w.begun.id}`,
        title: w.begun.text,
        kind: 'wait' as const,
        detail: message('item.waitingForWhom', { whom: w.begun.waitsFor }),
      })),
  ]
}

function openChecks(sheet: ModelSheet, events: readonly JobEvent[], due: readonly Reminder[]): Unsettled[] {
  return [
    ...inspection(sheet, events)
      .filter(i => i.last?.state === 'ask')
      .map(i => ({
        id: `ask:${i.item.id}`,
        title: i.item.lookFor,
        kind: 'ask-owner' as const,
        detail: i.last!.text || message('item.askOwner'),
        since: events.lastIndexOf(i.last!),
      })),
    ...due.flatMap(r => (r.because ? [dueItem(events, r, r.because)] : [])),
  ]
}

/** Words that closed it before the reading was taken did not know of it. */
function dueItem(
  events: readonly JobEvent[],
  { id, text, conditionWords }: Reminder,
  by: MadeTrueBy,
): Unsettled {
  const [condition, row] = [{ term: conditionWords }, { term: by.point.title }]
  return {
    id: `reminder:${id}`,
    title: text,
    kind: 'reminder',
    detail:
      by.verdict === 'outside'
        ? message('item.nowTrue', { condition, row })
        : message('item.mayBeTrue', { condition, row }),
    since: events.findIndex(e => e.id === by.taken.row.id),
  }
}

function stillOwed(sheet: ModelSheet, events: readonly JobEvent[]): Unsettled[] {
  const soak = runningSoak(events)
  const owed = owedAfterFinal(sheet, events).map(o => ({
    id: o.id,
    title: o.title,
    kind: 'after-final' as const,
    detail: o.why,
  }))
  if (!soak) return owed
  return [
    ...owed,
    {
      id: `soak:${soak.begun.id}`,
      title: 'Soak test',
      kind: 'soak' as const,
      detail: message('item.stillRunning'),
    },
  ]
}
