import { OWN_PLAN, bandChannelsHz, type OfPlan } from './ownPlan'
import { coversChannel } from './channelPlans'
import type { RuleSet } from './ruleSet'

/**
 * The rules of a job, with those that the sheet names for bands of which they say nothing.
 * @param sheets of the job: more than one where it was converted
 * @param known rule set by its id; null = there is none of that id, and its band is measured, not judged
 */
export function withBandRules(
  rules: RuleSet,
  sheets: readonly OfPlan[],
  known: (id: string) => RuleSet | null | undefined,
): RuleSet {
  const bands = sheets.flatMap(s => (s.planId === OWN_PLAN ? (s.bands ?? []) : []))
  const ids = bands
    .filter(band => bandChannelsHz(band).some(hz => !coversChannel(rules.planId, hz)))
    .flatMap(band => band.ruleSetId ?? [])
  const besides = [...new Set(ids)].flatMap(id => (id === rules.id ? [] : (known(id) ?? [])))
  return besides.length > 0 ? { ...rules, besides } : rules
}

/** Each rule set of a job by itself, the one that was chosen first. */
export const eachRuleSet = ({ besides = [], ...rules }: RuleSet): readonly RuleSet[] => [rules, ...besides]
