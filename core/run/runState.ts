import type { RuleSet } from '../rules'
import type { ModelSheet } from '../sheet'
import { history, type History } from './history'
import type { Turn } from './staleBy'
import type { JobEvent, NoteMade } from './jobEvent'
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
  | { readonly kind: 'unconfirmed' }
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
  const events = validEvents(all)
  const past = history(sheet, events)
  const steps: StepState[] = []
  for (const step of sheet.procedure) {
    const skipSource = steps.find(s => s.step.id === step.skipIf) ?? null
    steps.push(stepState(sheet, rules, step, past, events, skipSource))
  }
  return {
    history: past,
    steps,
    next: nextStep(steps),
    notes: events.filter(e => e.kind === 'note'),
    settled: settlements(events),
  }
}

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
  return state.status === 'inside' ? { kind: 'unconfirmed' } : { kind: 'in-progress' }
}
