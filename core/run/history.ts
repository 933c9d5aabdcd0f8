import type { Reading } from '../quantity'
import { adjusterOf, stepOf, type ModelSheet } from '../sheet'
import { answeredTurns, turnQuestion, type TurnQuestion } from './inferredTurns'
import type { JobEvent, RowTaken } from './jobEvent'
import type { TakenReading } from './takenReading'
import { staleRule, type StaleRule, type Turn } from './staleBy'

export interface History {
  readonly readings: readonly TakenReading[]
  readonly turns: readonly Turn[]
  /** readings that moved without a turn that anybody logged, not answered yet */
  readonly questions: readonly TurnQuestion[]
}

/**
 * All readings ever taken, none dropped, each with why it is stale or struck out.
 *
 * A reading that moved under the same conditions, beyond both instruments' bounds and what a set drifts by
 * itself, since the last current one of the same point in a step that has adjusters, counts as a turn of
 * those adjusters until somebody answers whether they were turned: hands are busy, and re-checking once too
 * often is the safe side.
 * @param sheet the revision the job was made with
 * @param events in order
 * @throws {CoreError} unknown-step, unknown-adjuster (an event that the sheet does not know)
 */
export function history(sheet: ModelSheet, events: readonly JobEvent[]): History {
  const struck = struckReasons(events)
  const answers = answeredTurns(events)
  const rule = staleRule(sheet)
  const turns: Turn[] = []
  const questions: TurnQuestion[] = []
  /** steps in which it was said once that adjusters are turned: not asked again */
  const settled = new Set<string>()
  const taken: Unjudged[] = []
  /** the last reading that counts of each row and quantity of the steps */
  const last = new Map<string, Unjudged>()

  function takeRow(row: RowTaken, order: number) {
    const answer = answers.get(row.id)
    const question =
      row.stepId === null
        ? null
        : turnQuestion(sheet, stepOf(sheet, row.stepId), row, reading => {
            const previous = last.get(cellOf(row, reading))
            return previous && turnsAfter(previous, turns, rule).length === 0 ? previous : null
          })
    // Half an order before the row: the turn came before the reading that shows it.
    const before = { order: order - 0.5, atMs: row.atMs, stepId: row.stepId }
    if (answer) turns.push(...answer.map(d => turnOf(sheet, d, { ...before, inferred: false })))
    else if (question?.inferred)
      turns.push(...question.designators.map(d => turnOf(sheet, d, { ...before, inferred: true })))
    if (answer && answer.length > 0) settled.add(row.stepId ?? '')
    if (question && !answer && !settled.has(question.stepId)) questions.push(question)
    for (const reading of row.readings) {
      const now = { reading, row, order, struck: struck.get(reading.id) ?? null }
      taken.push(now)
      if (now.struck === null) last.set(cellOf(row, reading), now)
    }
  }

  events.forEach((event, order) => {
    const when = { order, atMs: event.atMs, inferred: false }
    if (event.kind === 'adjuster-turned')
      turns.push(...event.designators.map(d => turnOf(sheet, d, { ...when, stepId: event.stepId })))
    if (event.kind === 'unlisted-turned') turns.push({ ...unlistedTurn(event), ...when })
    if (event.kind === 'row-taken') takeRow(event, order)
  })
  return { turns, questions, readings: taken.map(t => ({ ...t, staleBy: turnsAfter(t, turns, rule) })) }
}

type Unjudged = Omit<TakenReading, 'staleBy'>

function struckReasons(events: readonly JobEvent[]): Map<string, string> {
  return new Map(events.flatMap(e => (e.kind === 'reading-struck' ? [[e.readingId, e.reason] as const] : [])))
}

/** Of something that is not on the sheet. */
function unlistedTurn({ name, role }: Extract<JobEvent, { kind: 'unlisted-turned' }>) {
  return { designator: name, name: null, role, modes: null, isControl: false, stepId: null }
}

function turnOf(
  sheet: ModelSheet,
  designator: string,
  when: Pick<Turn, 'order' | 'atMs' | 'inferred' | 'stepId'>,
): Turn {
  const { name, role, kind, modes = null } = adjusterOf(sheet, designator)
  return { designator, name, role, modes, isControl: kind === 'control', ...when }
}

const cellOf = (row: RowTaken, reading: Reading) => `${row.stepId} ${row.pointId} ${reading.quantity}`

function turnsAfter({ reading, row, order }: Unjudged, turns: readonly Turn[], rule: StaleRule): Turn[] {
  const taken = { row, quantity: reading.quantity, order }
  const after: Turn[] = []
  // Turns are in order: those before the reading are not looked at.
  for (let i = turns.length - 1; i >= 0 && turns[i]!.order > order; i--) {
    if (rule.changes(turns[i]!, taken)) after.push(turns[i]!)
  }
  return after.reverse()
}
