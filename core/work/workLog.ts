import type {
  JobEvent,
  PartChanged,
  PartTested,
  QuestionAnswered,
  QuestionAsked,
  Treated,
  UnlistedTurned,
  WaitBegun,
  WaitEnded,
} from '../run'
import { questions, waits } from './waiting'

/** What is entered while a set is mended. */
export const WORK_LOGGED = [
  'part-changed',
  'treated',
  'part-tested',
  'unlisted-turned',
  'question-asked',
  'wait-begun',
] as const
export type WorkLogged = (typeof WORK_LOGGED)[number]

/** One entry with what ended it: the answer to a question, the arrival of what was waited for. */
export interface WorkEntry {
  readonly event: PartChanged | PartTested | Treated | UnlistedTurned | QuestionAsked | WaitBegun
  readonly answered: QuestionAnswered | null
  readonly ended: WaitEnded | null
  /** the job waits for it */
  readonly isOpen: boolean
}

const isLogged = (e: JobEvent): e is WorkEntry['event'] =>
  (WORK_LOGGED as readonly JobEvent['kind'][]).includes(e.kind)

/** What happened to the set: what the job waits for first, then the newest first. @param events that count */
export function workLog(events: readonly JobEvent[]): WorkEntry[] {
  const answers = new Map(questions(events).map(q => [q.asked.id, q.answered]))
  const ends = new Map(waits(events).map(w => [w.begun.id, w.ended]))
  const entries = events.filter(isLogged).map(event => ({
    event,
    answered: answers.get(event.id) ?? null,
    ended: ends.get(event.id) ?? null,
    isOpen: answers.get(event.id) === null || ends.get(event.id) === null,
  }))
  return entries.reverse().sort((a, b) => Number(b.isOpen) - Number(a.isOpen))
}
