import type { RuleSet } from './ruleSet'
import type { ChannelPlan } from './channelPlan'
import { coversPlan } from './channelPlans'

/**
 * The rule set that is offered for a new job: that of the workshop's country, where the sheet of the model
 * names one for channels too and the country's covers the channels of the model. A set for the amateur bands,
 * or judged by the workshop's own limits, stays as its sheet says.
 * @param workshop rule set under which most sets of the workshop are used; null = none was chosen
 * @param ofSheet rule set that the model's sheet names; null = it is not known here
 * @param plan channels of the model
 */
export function usualRules(
  workshop: RuleSet | null,
  ofSheet: RuleSet | null,
  plan: ChannelPlan,
): RuleSet | null {
  const isForChannels = (rules: RuleSet | null) => rules !== null && rules.planId !== null
  return isForChannels(workshop) && isForChannels(ofSheet) && coversPlan(workshop!.planId, plan)
    ? workshop
    : ofSheet
}
