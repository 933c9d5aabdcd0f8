import { CoreError } from '../errors'
import type { RuleSet } from './ruleSet'
import { RULES_AMATEUR } from './sets/amateur'
import { RULES_EU } from './sets/europe'
import { RULES_UK27 } from './sets/uk27'
import { RULES_US } from './sets/us'
import { RULES_SHOP } from './sets/workshop'

export const RULE_SETS: readonly RuleSet[] = [RULES_UK27, RULES_EU, RULES_US, RULES_AMATEUR, RULES_SHOP]

/** @throws {CoreError} unknown-rule-set */
export function ruleSet(id: string): RuleSet {
  const set = RULE_SETS.find(s => s.id === id)
  if (!set) throw new CoreError('unknown-rule-set', `no rule set "${id}"`)
  return set
}
