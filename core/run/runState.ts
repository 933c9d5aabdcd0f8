import type { RuleSet } from '../rules'
import type { ModelSheet } from '../sheet'
import { lastPutBack } from './altered'
import { history, type History } from './history'
import type { Turn } from './staleBy'
import type { JobEvent, NoteMade } from './jobEvent'
import type { JobKind } from './jobChange'
import { jobKindOf, lastMending } from './jobKind'
import { entriesOfSheet } from './modelChange'
import { validEvents } from './validEvents'
import { settlements, type Settlement } from './settlement'
import { stepState, type StepState } from './stepState'

/** Why a step is the next one. */
export type NextReason =
  | { readonly kind: 'not-measured' }
  | { readonly kind: 'in-progress' }
  | { readonly kind: 'stale'; readonly turns: readonly Turn[] }
  | { readonly kind: 'outside'; readonly verdict: 'above' | 'below' }
  | { readonly kind: 'cannot-tell' }
  | { readonly kind: 'unconfirmed'; readonly status: 'inside' | 'measured' }
  | { readonly kind: 'reopened'; readonly reason: string }
  | { readonly kind: 'skip-lapsed'; readonly source: string }

export interface Next {
  readonly stepId: string
  readonly reason: NextReason
}

export interface RunState {
  readonly history: History
  readonly steps: readonly StepState[]
  /** null = every step is satisfied, skipped with words, or waits for one that is */
  readonly next: Next | null
  readonly notes: readonly NoteMade[]
  readonly settled: readonly Settlement[]
  readonly jobKind: JobKind
  /** place of the last entry that replaced or treated something; -1 = none */
  readonly mendedAt: number
  /** place of the entry since which all that was changed on purpose is back; -1 = nothing was */
  readonly putBackAt: number
  /** what was turned while the job was measured by another sheet: names, each once */
  readonly turnedElsewhere: readonly string[]
}

/**
 * The run as a pure function of its events: nothing is stored that could disagree with the readings.
 *
 * @param sheet revision the job was made with
 * @param rules rule set in force
 * @param all events in order; any order is accepted, those that were struck out do not count, no reading is
 * lost
 * @throws {CoreError} unknown-step, unknown-adjuster, unknown-channel
 */
export function runState(sheet: ModelSheet, rules: RuleSet, all: readonly JobEvent[]): RunState {
  const valid = validEvents(all)
  const events = entriesOfSheet(sheet, valid)
  const past = history(sheet, events)
  const steps: StepState[] = []
  for (const step of sheet.procedure) {
    const skipSource = steps.find(s => s.step.id === step.skipIf) ?? null
    steps.push(stepState(sheet, rules, step, past, events, skipSource))
  }
  const settled = settlements(events)
  return {
    history: past,
    steps,
    next: nextStep(steps),
    notes: events.filter(e => e.kind === 'note'),
    settled,
    jobKind: jobKindOf(events),
    mendedAt: lastMending(events),
    putBackAt: lastPutBack(events, settled),
    turnedElsewhere: turnedElsewhere(valid, events),
  }
}

/** What was turned and is no adjuster that counts by this sheet: it was turned all the same. */
function turnedElsewhere(valid: readonly JobEvent[], counted: readonly JobEvent[]): string[] {
  if (valid === counted) return []
  const here = turnedOn(counted)
  return turnedOn(valid).filter(name => !here.includes(name))
}

/** Names of what entries say was turned. */
const turnedOn = (events: readonly JobEvent[]): string[] => [
  ...new Set(
    events.flatMap(e => {
      if (e.kind === 'adjuster-turned') return e.designators
      return e.kind === 'unlisted-turned' ? [e.name] : []
    }),
  ),
]

/** Steps that a step needs and that are not satisfied. */
export function missingNeeds(steps: readonly StepState[], stepId: string): StepState[] {
  const needs = steps.find(s => s.step.id === stepId)?.step.needs ?? []
  return steps.filter(s => needs.includes(s.step.id) && !s.satisfied)
}

/** The first step in the sheet's order that is open and whose needs are met. */
function nextStep(steps: readonly StepState[]): Next | null {
  const open = steps.find(
    s => !s.satisfied && !skippedWithWords(s, steps) && missingNeeds(steps, s.step.id).length === 0,
  )
  return open ? { stepId: open.step.id, reason: reasonFor(open) } : null
}

/** Skipped for a reason that is not a measurement: not asked again, carried as an open item. */
function skippedWithWords(state: StepState, steps: readonly StepState[]): boolean {
  if (state.status !== 'skipped') return false
  const source = steps.find(s => s.step.id === state.step.skipIf)
  return !source || state.confirmed!.reason !== ''
}

function reasonFor(state: StepState): NextReason {
  if (state.status === 'skipped') return { kind: 'skip-lapsed', source: state.step.skipIf! }
  if (state.status === 'stale') return { kind: 'stale', turns: state.staleBy }
  if (state.status === 'above' || state.status === 'below') return { kind: 'outside', verdict: state.status }
  if (state.reopened !== null) return { kind: 'reopened', reason: state.reopened }
  if (state.status === 'cannot-tell') return { kind: 'cannot-tell' }
  if (state.status === 'not-measured') return { kind: 'not-measured' }
  return state.status === 'inside' || state.status === 'measured'
    ? { kind: 'unconfirmed', status: state.status }
    : { kind: 'in-progress' }
}
