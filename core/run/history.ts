import { standardToBound, type Reading } from '../quantity'
import { GOES_STALE, adjusterOf, stepOf, topicOf, type AdjusterRole, type ModelSheet } from '../sheet'
import type { JobEvent, RowTaken } from './jobEvent'

/** A turn of an adjuster, said by the technician or inferred from a reading that moved. */
export interface Turn { readonly designator: string, /** what it is called; null = the designator says all there is */ readonly name: string | null, readonly role: AdjusterRole, readonly order: number, readonly atMs: number, readonly inferred: boolean }

/** A reading in its row, with what has happened to it since. */
export interface TakenReading {
  readonly reading: Reading
  readonly row: RowTaken
  readonly order: number
  readonly struck: string | null
  /** turns after it that change what it measured; empty = current */
  readonly staleBy: readonly Turn[]
}

export interface History { readonly readings: readonly TakenReading[], readonly turns: readonly Turn[] }

/**
 * All readings ever taken, none dropped, each with why it is stale or struck out.
 *
 * A reading that moved beyond both instruments' bounds since the last current one of the same point, in a step that
 * has adjusters, counts as a turn of those adjusters: hands are busy, and re-checking once too often is the safe side.
 * @param sheet the revision the job was made with
 * @param events in order
 * @throws {CoreError} unknown-step, unknown-adjuster (an event that the sheet does not know)
 */
export function history(sheet: ModelSheet, events: readonly JobEvent[]): History {
  const struck = struckReasons(events)
  const turns: Turn[] = []
  const taken: Omit<TakenReading, 'staleBy'>[] = []
  /** the last reading that counts of each row and quantity of the steps */
  const last = new Map<string, Unjudged>()
  events.forEach((event, order) => {
    if (event.kind === 'adjuster-turned') turns.push(...event.designators.map(d => turnOf(sheet, d, { order, atMs: event.atMs, inferred: false })))
    if (event.kind === 'unlisted-turned') turns.push({ designator: event.name, name: null, role: event.role, order, atMs: event.atMs, inferred: false })
    if (event.kind !== 'row-taken') return
    turns.push(...inferredTurns(sheet, event, order, last, turns))
    for (const reading of event.readings) {
      const now = { reading, row: event, order, struck: struck.get(reading.id) ?? null }
      taken.push(now)
      if (now.struck === null) last.set(placeOf(event, reading), now)
    }
  })
  return { turns, readings: taken.map(t => ({ ...t, staleBy: turnsAfter(t, turns) })) }
}

function struckReasons(events: readonly JobEvent[]): Map<string, string> {
  return new Map(events.flatMap(e => e.kind === 'reading-struck' ? [[e.readingId, e.reason] as const] : []))
}

function turnOf(sheet: ModelSheet, designator: string, when: Pick<Turn, 'order' | 'atMs' | 'inferred'>): Turn {
  const { name, role } = adjusterOf(sheet, designator)
  return { designator, name, role, ...when }
}

type Unjudged = Omit<TakenReading, 'staleBy'>

const placeOf = (row: RowTaken, reading: Reading) => `${row.stepId} ${row.pointId} ${reading.quantity}`

/** Half an order before the row: the turn came before the reading that shows it. */
function inferredTurns(sheet: ModelSheet, row: RowTaken, order: number, last: ReadonlyMap<string, Unjudged>, turns: readonly Turn[]): Turn[] {
  if (row.stepId === null) return []
  const { adjusters } = stepOf(sheet, row.stepId)
  if (adjusters.length === 0) return []
  const moved = row.readings.some((reading) => {
    const previous = last.get(placeOf(row, reading))
    return previous !== undefined && turnsAfter(previous, turns).length === 0 && differs(previous.reading, reading)
  })
  return moved ? adjusters.map(d => turnOf(sheet, d, { order: order - 0.5, atMs: row.atMs, inferred: true })) : []
}

/** Unknown uncertainty: any difference counts. */
function differs(a: Reading, b: Reading): boolean {
  const bound = Math.hypot(standardToBound(a.standardUncertainty ?? 0), standardToBound(b.standardUncertainty ?? 0))
  return Math.abs(a.value - b.value) > bound
}

function turnsAfter(taken: Unjudged, turns: readonly Turn[]): Turn[] {
  const topic = topicOf(taken.reading.quantity, taken.row.conditions)
  const after: Turn[] = []
  // Turns are in order: those before the reading are not looked at.
  for (let i = turns.length - 1; i >= 0 && turns[i]!.order > taken.order; i--) if (GOES_STALE[turns[i]!.role].topics.includes(topic)) after.push(turns[i]!)
  return after.reverse()
}
