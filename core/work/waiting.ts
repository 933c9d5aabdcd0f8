import type { JobEvent, QuestionAnswered, QuestionAsked, WaitBegun, WaitEnded } from '../run'

export interface Question {
  readonly asked: QuestionAsked
  readonly answered: QuestionAnswered | null
}
export interface Wait {
  readonly begun: WaitBegun
  readonly ended: WaitEnded | null
}

export function questions(events: readonly JobEvent[]): Question[] {
  return events.flatMap(e =>
    e.kind === 'question-asked'
      ? [
          {
            asked: e,
            answered: (events.findLast(a => a.kind === 'question-answered' && a.questionId === e.id) ??
              null) as QuestionAnswered | null,
          },
        ]
      : [],
  )
}

export function waits(events: readonly JobEvent[]): Wait[] {
  return events.flatMap(e =>
    e.kind === 'wait-begun'
      ? [
          {
            begun: e,
            ended: (events.find(a => a.kind === 'wait-ended' && a.waitId === e.id) ??
              null) as WaitEnded | null,
          },
        ]
      : [],
  )
}

/**
 * Who the job waits for, since when, and for what; null = the bench can go on. No work on silence: an open
 * question waits for the owner.
 */
export interface WaitsFor {
  readonly who: 'owner' | 'parts' | 'manual' | 'other'
  readonly sinceMs: number
  readonly text: string
  readonly untilDay: string | null
}

/** The oldest thing that holds the job up. */
export function waitsFor(events: readonly JobEvent[]): WaitsFor | null {
  const open = [
    ...questions(events)
      .filter(q => q.answered === null)
      .map(q => ({ who: 'owner' as const, sinceMs: q.asked.atMs, text: q.asked.text, untilDay: null })),
    ...waits(events)
      .filter(w => w.ended === null)
      .map(w => ({
        who: w.begun.waitsFor,
        sinceMs: w.begun.atMs,
        text: w.begun.text,
        untilDay: w.begun.untilDay,
      })),
  ]
  return open.sort((a, b) => a.sinceMs - b.sinceMs)[0] ?? null
}
