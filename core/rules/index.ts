// Where the channels are
export {
  CHANNEL_PLANS,
  FORTY_GAPS_HZ,
  SIX_BANDS,
  bandChannel,
  channelHz,
  channelName,
  coversPlan,
  channelPlan,
  nearestChannel,
  type ChannelPlan,
} from './channelPlans'
// What is allowed
export { MODES, type Mode } from './mode'
export { usualRules } from './usualRules'
export { RULE_SETS, completeRules, ruleSet, type FrozenRuleSet } from './ruleSets'
export {
  limitFor,
  type MaskPart,
  type PowerLimit,
  type ResolvedLimit,
  type RuleConditions,
  type RuleLimit,
  type RuleSet,
  type SpuriousLimit,
} from './ruleSet'
export {
  PROTECTED_HZ,
  absoluteLevel,
  absoluteLimits,
  type AbsoluteLevel,
  type AbsoluteLimit,
} from './absoluteLimits'
export { MASK_END_HZ, emissionMask, type EmissionMaskPart } from './emissionMask'
// What a reading means
export {
  RESOLVING_SHARE,
  judge,
  type Judgement,
  type Reason,
  type Undecided,
  type Verdict,
  type Window,
} from './judge'
export { acceptanceZone, coarsestUseful, type Zone, type ZoneSides } from './acceptanceZone'
