import { message } from '../message'
import {
  compareMatrix,
  matrixState,
  openItems,
  runState,
  validEvents,
  type ComparedCell,
  type JobEvent,
  type OpenItem,
  type Unsettled,
  type RowState,
  type RunState,
} from '../run'
import type { ClaimContext } from '../claims'
import { challengedInRow } from '../diagnose'
import type { RuleSet } from '../rules'
import type { ModelSheet } from '../sheet'
import { reminders, type Reminder } from './inspection'
import { openWork } from './openWork'
import { stagesDone, type Stage } from './stages'

/** Everything that follows from the events of a job. */
export interface JobState {
  readonly run: RunState
  readonly asFound: readonly RowState[]
  readonly asLeft: readonly RowState[]
  readonly compared: readonly ComparedCell[]
  readonly reminders: readonly Reminder[]
  readonly items: readonly OpenItem[]
  readonly done: Readonly<Record<Stage, boolean>>
  /** what settles a claim: rows of the sheet's own mode and controls, no reading that is implausible */
  readonly claimContext: ClaimContext
}

/**
 * A job as a pure function of its events: nothing is stored that could disagree with the record.
 * @throws {CoreError} unknown-step, unknown-adjuster, unknown-channel
 */
export function jobState(sheet: ModelSheet, rules: RuleSet, all: readonly JobEvent[]): JobState {
  const events = validEvents(all)
  const run = runState(sheet, rules, events)
  const asFound = matrixState(sheet, rules, run.history, 'as-found')
  const asLeft = matrixState(sheet, rules, run.history, 'as-left')
  const reminded = reminders(events, asFound, asLeft)
  return {
    run,
    asFound,
    asLeft,
    reminders: reminded,
    compared: compareMatrix(sheet, asFound, asLeft),
    items: openItems(sheet, run, asFound, asLeft, [
      ...openWork(sheet, events, reminded),
      ...doubtfulRows(sheet, rules, run, asLeft, events),
    ]),
    done: stagesDone(sheet, events, run, asFound, asLeft),
    claimContext: { main: sheet.main, isDoubtful: doubtfulReadings(sheet, rules, run, asFound, events) },
  }
}

/**
 * A reading as left that contradicts another one and was not confirmed with a reason: nothing is handed over
 * on it silently.
 */
function doubtfulRows(
  sheet: ModelSheet,
  rules: RuleSet,
  run: RunState,
  asLeft: readonly RowState[],
  events: readonly JobEvent[],
): Unsettled[] {
  const isDoubtful = doubtfulReadings(sheet, rules, run, asLeft, events)
  return asLeft
    .filter(row => row.cells.some(c => c.latest && isDoubtful(c.latest.reading.id)))
    .map(({ point, cells }) => ({
      id: `as-left-doubt:${point.id}`,
      title: point.title,
      kind: 'as-left-doubtful' as const,
      detail: message('item.implausible'),
      since: Math.max(...cells.flatMap(c => c.latest?.order ?? [])),
    }))
}

/** Worked out when it is first asked. */
function doubtfulReadings(
  sheet: ModelSheet,
  rules: RuleSet,
  run: RunState,
  rows: readonly RowState[],
  events: readonly JobEvent[],
): (readingId: string) => boolean {
  let ids: ReadonlySet<string> | null = null
  return readingId => {
    ids ??= new Set(openChallenges(sheet, rules, run, rows, events))
    return ids.has(readingId)
  }
}

function openChallenges(
  sheet: ModelSheet,
  rules: RuleSet,
  run: RunState,
  rows: readonly RowState[],
  events: readonly JobEvent[],
): string[] {
  const kept = events.filter(e => e.kind === 'challenge-kept')
  const context = { sheet, rules, rows, history: run.history, kept, meterOf: () => null }
  return rows
    .flatMap(row => challengedInRow(context, row))
    .filter(c => c.keptBecause === null)
    .map(c => c.readingId)
}
