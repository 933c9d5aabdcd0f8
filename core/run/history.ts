import type { Reading } from '../quantity'
import { adjusterOf, stepOf, type ModelSheet } from '../sheet'
import { answeredTurns, turnQuestion, type TurnQuestion } from './inferredTurns'
import type { JobEvent, RowTaken } from './jobEvent'
import { firstMending } from './jobKind'
import { entriesOfSheet } from './modelChange'
import type { TakenReading } from './takenReading'
import { codeFollower } from './menu/codeTurns'
import { cellOf, staleRule, type StaleRule, type Turn } from './staleBy'

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
 * @param all in order; those of another model of the job do not count
 * @throws {CoreError} unknown-step, unknown-adjuster (an event that the sheet does not know)
 */
export function history(sheet: ModelSheet, all: readonly JobEvent[]): History {
  const events = entriesOfSheet(sheet, all)
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
  const codeOf = codeFollower(sheet)

  function takeRow(row: RowTaken, order: number) {
    const answer = answers.get(row.id)
    const code = row.readings.some(r => struck.has(r.id)) ? null : codeOf(row)
    const question =
      row.stepId === null
        ? null
        : turnQuestion(sheet, stepOf(sheet, row.stepId), row, code?.designator ?? null, reading => {
            const previous = last.get(pointKey(row, reading))
            if (!previous) return null
            const cell = cellOf(previous.row, reading.quantity)
            return turns.some(t => t.order > previous.order && rule.changes(t, cell)) ? null : previous
          })
    // Half an order before the row: the turn came before the reading that shows it.
    const before = { order: order - 0.5, atMs: row.atMs, stepId: row.stepId }
    if (code?.isSet) turns.push(turnOf(sheet, code.designator, { ...before, inferred: false }))
    if (answer) turns.push(...answer.map(d => turnOf(sheet, d, { ...before, inferred: false })))
    else if (question?.inferred)
      turns.push(...question.designators.map(d => turnOf(sheet, d, { ...before, inferred: true })))
    if (answer && answer.length > 0) settled.add(row.stepId ?? '')
    if (question && !answer && !settled.has(question.stepId)) questions.push(question)
    for (const reading of row.readings) {
      const now = { reading, row, order, struck: struck.get(reading.id) ?? null }
      taken.push(now)
      if (now.struck === null) last.set(pointKey(row, reading), now)
    }
  }

  events.forEach((event, order) => {
    turns.push(...saidTurns(sheet, event, order))
    if (event.kind === 'row-taken') takeRow(event, order)
  })
  const around = turnsAround(turns, rule)
  const firstWork = firstWorkOf(turns, events)
  const readings = taken.map(t => ({ ...t, ...around(t), isAfterWork: t.order > firstWork }))
  return { turns, questions, readings }
}

/** Place of the first thing that somebody said he did to the set; Infinity = nothing. */
function firstWorkOf(turns: readonly Turn[], events: readonly JobEvent[]): number {
  const first = turns.find(t => !t.isControl && !t.inferred)
  return Math.min(first?.order ?? Infinity, firstMending(events))
}

type Unjudged = Omit<TakenReading, 'staleBy' | 'turnedBefore' | 'isAfterWork'>

/** Why readings were struck out, by their ids. */
export function struckReasons(events: readonly JobEvent[]): Map<string, string> {
  return new Map(events.flatMap(e => (e.kind === 'reading-struck' ? [[e.readingId, e.reason] as const] : [])))
}

/** Of something that is not on the sheet. */
function unlistedTurn({ name, role }: Extract<JobEvent, { kind: 'unlisted-turned' }>) {
  return { designator: name, name: null, role, modes: null, isControl: false, stepId: null }
}

/** What an entry says was turned. */
function saidTurns(sheet: ModelSheet, event: JobEvent, order: number): Turn[] {
  const when = { order, atMs: event.atMs, inferred: false }
  if (event.kind === 'unlisted-turned') return [{ ...unlistedTurn(event), ...when }]
  if (event.kind !== 'adjuster-turned') return []
  const back = event.isReturned ? { isReturned: event.isReturned } : {}
  return event.designators.map(d => turnOf(sheet, d, { ...when, ...back, stepId: event.stepId }))
}

function turnOf(
  sheet: ModelSheet,
  designator: string,
  when: Pick<Turn, 'order' | 'atMs' | 'inferred' | 'stepId' | 'isReturned'>,
): Turn {
  const { name, role, kind, modes = null } = adjusterOf(sheet, designator)
  return { designator, name, role, modes, isControl: kind === 'control', ...when }
}

const pointKey = (row: RowTaken, reading: Reading) => `${row.stepId} ${row.pointId} ${reading.quantity}`

/** Asks which of the turns, in order, came before and after a reading and change it. */
function turnsAround(
  turns: readonly Turn[],
  rule: StaleRule,
): (taken: Unjudged) => Pick<TakenReading, 'staleBy' | 'turnedBefore'> {
  // Long runs have a thousand readings of a few cells.
  const ofCell = new Map<string, readonly Turn[]>()
  return ({ reading, row, order }) => {
    const cell = cellOf(row, reading.quantity)
    const key = Object.values(cell).join(' ')
    const all = ofCell.get(key) ?? turns.filter(t => rule.changes(t, cell))
    ofCell.set(key, all)
    const next = all.findIndex(t => t.order > order)
    const from = next < 0 ? all.length : next
    return { staleBy: all.slice(from), turnedBefore: all.slice(0, from).filter(t => !t.isControl) }
  }
}
