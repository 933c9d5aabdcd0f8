import { observableOf } from './observables'
import type { Cause, Expectation } from './cause'
import type { Evidence, Observable, OutcomeProbabilities } from './observable'

/**
 * A question that a cause says nothing about shows its healthy answer this often (common practice).
 */
const UNDISTURBED = 0.93
/** No outcome is impossible: catalogues are incomplete, and people err when they choose an answer. */
const MIN = 0.01
/** Share of faults that no cause of the catalogue describes. */
const UNKNOWN_PRIOR_SHARE = 0.04

/**
 * The catalogue's shares weigh as much as so many repairs of one model (chosen: a handful of sets is not yet
 * a rule).
 */
const CATALOGUE_REPAIRS = 10
/** What a workshop found weighs at most as much as the catalogue: no share falls below half of its own. */
const MOST_OF_WORKSHOP = 0.5

/** Causes confirmed on other jobs of a model, each with how many. */
export type ConfirmedBefore = Readonly<Record<string, number>>

/**
 * What one piece of evidence says about a cause: > 0 speaks for it, < 0 against it [log of a probability
 * ratio].
 */
export interface Weighing {
  readonly evidence: Evidence
  readonly weight: number
}

export interface RankedCause {
  /** null = something that the catalogue does not hold */
  readonly cause: Cause | null
  readonly probability: number
  /** on so many other jobs of this model, in this workshop */
  readonly confirmedBefore: number
  readonly weighings: readonly Weighing[]
}

/**
 * Probability of an outcome under a cause.
 * @param cause null = unknown fault: every outcome alike
 */
export function likelihood(cause: Cause | null, observable: Observable, outcome: string): number {
  const outcomes = Object.keys(observable.outcomes)
  if (cause === null) return 1 / outcomes.length
  const shows =
    cause.shows[observable.id] ??
    (observable.domain === cause.domain ? { [observable.healthy]: UNDISTURBED } : null)
  // A question of another part of the set that the cause does not name says nothing about it.
  return shows === null ? 1 / outcomes.length : spread(shows, outcomes, outcome)
}

/** Named outcomes as they stand, the rest shared; none below the least. */
function spread(shows: Expectation, outcomes: readonly string[], outcome: string): number {
  const named = Object.values(shows).reduce((a, b) => a + b, 0)
  const others = outcomes.filter(o => shows[o] === undefined).length
  const raw = shows[outcome] ?? (others > 0 ? Math.max(0, 1 - named) / others : 0)
  return MIN + (1 - MIN * outcomes.length) * raw
}

/** Probability of uncertain evidence under a cause: its shares weigh the outcomes. */
export function likelihoodOf(
  cause: Cause | null,
  observable: Observable,
  soft: OutcomeProbabilities,
): number {
  return Object.entries(soft).reduce(
    (sum, [outcome, share]) => sum + share * likelihood(cause, observable, outcome),
    0,
  )
}

/**
 * Causes by probability, the most probable first, with what speaks for and against each.
 *
 * Bayes' rule with the catalogue's priors, moved by what was confirmed on other jobs of the model; evidence
 * is taken as independent given the cause. What was found in order counts like what was found wrong.
 * @param causes of one domain
 * @param evidence in any order: the result does not depend on it
 */
export function rankCauses(
  causes: readonly Cause[],
  evidence: readonly Evidence[],
  confirmed: ConfirmedBefore = {},
): RankedCause[] {
  const priorOf = priors(causes, confirmed)
  const candidates = [
    ...causes.map(cause => ({ cause, prior: priorOf(cause) * (1 - UNKNOWN_PRIOR_SHARE) })),
    { cause: null, prior: UNKNOWN_PRIOR_SHARE },
  ]
  const scored = candidates.map(({ cause, prior }) => {
    const logs = evidence.map(e => Math.log(likelihoodOf(cause, e.observable, e.soft)))
    return {
      cause,
      logs,
      score: Math.log(prior) + [...logs].sort((a, b) => a - b).reduce((a, b) => a + b, 0),
    }
  })
  const best = Math.max(...scored.map(s => s.score))
  const norm = scored.reduce((sum, s) => sum + Math.exp(s.score - best), 0)
  const averages = evidence.map((_, i) =>
    Math.log(scored.reduce((sum, s) => sum + Math.exp(s.logs[i]!), 0) / scored.length),
  )
  return scored
    .map(s => ({
      cause: s.cause,
      probability: Math.exp(s.score - best) / norm,
      confirmedBefore: s.cause ? (confirmed[s.cause.id] ?? 0) : 0,
      weighings: evidence.map((e, i) => ({ evidence: e, weight: s.logs[i]! - averages[i]! })),
    }))
    .sort((a, b) => b.probability - a.probability)
}

/** Share of each cause before anything was measured; all together one. */
function priors(causes: readonly Cause[], confirmed: ConfirmedBefore): (cause: Cause) => number {
  const total = causes.reduce((sum, c) => sum + c.prior, 0)
  const times = causes.reduce((sum, c) => sum + (confirmed[c.id] ?? 0), 0)
  const ofWorkshop = Math.min(times / (times + CATALOGUE_REPAIRS), MOST_OF_WORKSHOP)
  return c =>
    (1 - ofWorkshop) * (c.prior / total) + (times > 0 ? (ofWorkshop * (confirmed[c.id] ?? 0)) / times : 0)
}

/** The outcomes of an observable that are possible for some cause, as evidence of a single answer. */
export function answered(observableId: string, outcome: string): Evidence {
  return { observable: observableOf(observableId), soft: { [outcome]: 1 }, used: [], byHand: true }
}
