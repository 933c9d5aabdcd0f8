import { compareMatrix, matrixState, openItems, runState, standing, type ComparedCell, type JobEvent, type OpenItem, type RowState, type RunState } from '../run'
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
}

/**
 * A job as a pure function of its events: nothing is stored that could disagree with the record.
 * @throws {CoreError} unknown-step, unknown-adjuster, unknown-channel
 */
export function jobState(sheet: ModelSheet, rules: RuleSet, all: readonly JobEvent[]): JobState {
  const events = standing(all)
  const run = runState(sheet, rules, events)
  const asFound = matrixState(sheet, rules, run.history, 'as-found')
  const asLeft = matrixState(sheet, rules, run.history, 'as-left')
  const reminded = reminders(events, asFound, asLeft)
  return {
    run, asFound, asLeft, reminders: reminded,
    compared: compareMatrix(asFound, asLeft),
    items: openItems(sheet, run, asFound, asLeft, openWork(sheet, events, reminded)),
    done: stagesDone(sheet, events, run, asFound, asLeft),
  }
}
