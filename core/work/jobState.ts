import { message } from '../message'
import {
  compareMatrix,
  entriesOfSheet,
  matrixState,
  openItems,
  runState,
  validEvents,
  type ComparedCell,
  type Asked,
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
import { missingSettings, settingsCard, type CardLine } from './settingsCard'
import { asksFor, isTouched, rowsAsked, stagesOf, stepsAsked, type Stage } from './stages'
import { stagesDone } from './stagesDone'

/** Everything that follows from the events of a job. */
export interface JobState {
  readonly run: RunState
  /** the same by the sheet of the model that the set came as */
  readonly foundRun: RunState
  readonly asFound: readonly RowState[]
  readonly asLeft: readonly RowState[]
  readonly compared: readonly ComparedCell[]
  readonly reminders: readonly Reminder[]
  readonly items: readonly OpenItem[]
  /** where the operator's controls stand, band by band */
  readonly card: readonly CardLine[]
  readonly done: Readonly<Record<Stage, boolean>>
  /** phases of this job, in order */
  readonly stages: readonly Stage[]
  /** rows by which claims are settled: as found; where the kind of job has no such phase, as left */
  readonly claimRows: readonly RowState[]
  /** what settles a claim: rows of the sheet's own mode and controls, no reading that is implausible */
  readonly claimContext: ClaimContext
}

/**
 * A job as a pure function of its events: nothing is stored that could disagree with the record.
 * @param found sheet of the model that the set came as, where it was converted
 * @throws {CoreError} unknown-step, unknown-adjuster, unknown-channel
 */
export function jobState(
  sheet: ModelSheet,
  rules: RuleSet,
  all: readonly JobEvent[],
  found: ModelSheet = sheet,
): JobState {
  const valid = validEvents(all)
  const events = entriesOfSheet(sheet, valid)
  const run = runState(sheet, rules, valid)
  const foundRun = found.id === sheet.id ? run : runState(found, rules, valid)
  const asFound = matrixState(found, rules, foundRun.history, 'as-found')
  const asLeft = matrixState(sheet, rules, run.history, 'as-left')
  const isDoubtful = doubtfulReadings(found, rules, foundRun, asFound, events)
  const isMoved = movedBefore(asFound)
  const isDoubtfulLeft = doubtfulReadings(sheet, rules, run, asLeft, events)
  const compared = compareMatrix({ now: sheet, found }, asFound, asLeft)
  const reminded = reminders(events, compared)
  const stages = stagesOf(run, events)
  const isFoundAsked = stages.includes('as-found')
  const now = stages.includes('as-left')
    ? { rows: asLeft, isDoubtful: isDoubtfulLeft }
    : { rows: asFound, isDoubtful }
  const items = openItems(run, asked(sheet, run, asFound, asLeft), [
    ...openWork(sheet, events, reminded),
    ...missingSettings(sheet, events, asksFor(run.jobKind, 'align')),
    ...moreThanAsked(run),
    ...readBeforePutBack(run, asLeft),
    ...(asksFor(run.jobKind, 'as-left') ? [] : doubtfulRows('as-found', asFound, isDoubtful)),
    ...doubtfulRows('as-left', asLeft, isDoubtfulLeft),
  ])
  return {
    run,
    foundRun,
    asFound,
    asLeft,
    reminders: reminded,
    compared,
    card: settingsCard(sheet, events, now.rows, now.isDoubtful),
    items,
    stages,
    claimRows: isFoundAsked ? asFound : asLeft,
    done: stagesDone(sheet, events, run, asFound, asLeft, items),
    claimContext: isFoundAsked
      ? { main: found.main, isDoubtful: id => isDoubtful(id) || isMoved.has(id) }
      : { main: sheet.main, isDoubtful: isDoubtfulLeft },
  }
}

/** The part of the sheet that this kind of job is about, and what was begun of the rest. */
function asked(
  sheet: ModelSheet,
  run: RunState,
  asFound: readonly RowState[],
  asLeft: readonly RowState[],
): Asked {
  return {
    owed: asksFor(run.jobKind, 'align') ? sheet.owed.filter(o => !o.doneBy) : [],
    steps: stepsAsked(run),
    asFound: rowsAsked(run, 'as-found', { asFound, asLeft }),
    asLeft: rowsAsked(run, 'as-left', { asFound, asLeft }),
  }
}

/** Who turns or replaces something where nothing is measured as left leaves the set unproved. */
function moreThanAsked(run: RunState): Unsettled[] {
  if (asksFor(run.jobKind, 'as-left') || !isTouched(run)) return []
  const since = Math.max(run.mendedAt, ...run.history.turns.map(turn => turn.order))
  return [
    {
      id: 'more-than-kind',
      title: 'Kind of job',
      kind: 'more-than-kind',
      detail: message('item.moreThanKind'),
      since,
    },
  ]
}

/** A row "as left" that was read before all is back is not how the set leaves. */
function readBeforePutBack(run: RunState, asLeft: readonly RowState[]): Unsettled[] {
  return asLeft.flatMap(({ point, cells }) => {
    const orders = cells.flatMap(c => c.latest?.order ?? []).filter(o => o < run.putBackAt)
    return orders.length === 0
      ? []
      : [
          {
            id: `altered:${point.id}`,
            title: point.title,
            kind: 'as-left-stale' as const,
            detail: message('item.readBeforePutBack'),
            since: Math.max(...orders),
          },
        ]
  })
}

/**
 * A reading that contradicts another one and was not confirmed with a reason: nothing is handed over on it
 * silently. As left; where the kind of job has no such phase, as found.
 */
function doubtfulRows(
  phase: 'as-found' | 'as-left',
  rows: readonly RowState[],
  isDoubtful: (readingId: string) => boolean,
): Unsettled[] {
  return rows
    .filter(row => row.cells.some(c => c.latest && isDoubtful(c.latest.reading.id)))
    .map(({ point, cells }) => ({
      id: `${phase}-doubt:${point.id}`,
      title: point.title,
      kind: `${phase}-doubtful` as const,
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

/** Readings "as found" that were taken after what moves them had been turned: no owner spoke of those. */
const movedBefore = (asFound: readonly RowState[]): ReadonlySet<string> =>
  new Set(
    asFound.flatMap(row =>
      row.cells.flatMap(({ latest }) =>
        latest && latest.turnedBefore.length > 0 ? [latest.reading.id] : [],
      ),
    ),
  )
