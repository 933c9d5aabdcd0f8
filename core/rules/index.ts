// Where the channels are
export { channelHz, channelName, nearestChannel, receivedHz, type ChannelPlan } from './channelPlan'
export {
  CHANNEL_PLANS,
  FORTY_GAPS_HZ,
  SIX_BANDS,
  bandChannel,
  channelPlan,
  coversChannel,
  coversPlan,
} from './channelPlans'
export {
  MAX_CHANNELS_OF_A_SET,
  NEW_BAND,
  OWN_PLAN,
  bandChannelsHz,
  bandsLike,
  planOf,
  rasterOver,
  type BandChannels,
  type OfPlan,
  type PlanBand,
} from './ownPlan'
// What is allowed
export { MODES, type Mode } from './mode'
export { usualRules } from './usualRules'
export { eachRuleSet, withBandRules } from './bandRules'
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
  judgedVerdict,
  type Judgement,
  type Reason,
  type Undecided,
  type Verdict,
  type Window,
} from './judge'
export { acceptanceZone, coarsestUseful, type Zone, type ZoneSides } from './acceptanceZone'
