import { message } from '../message'
import { CoreError } from '../errors'
import type { RuleSet } from './ruleSet'
import { RULES_AMATEUR } from './sets/amateur'
import { RULES_EU } from './sets/europe'
import { RULES_UK27 } from './sets/uk27'
import { RULES_US } from './sets/us'
import { RULES_SHOP } from './sets/workshop'

export const RULE_SETS: readonly RuleSet[] = [RULES_UK27, RULES_EU, RULES_US, RULES_AMATEUR, RULES_SHOP]

/** A rule set as a record froze it; before 2026-11-28 without mask and limits in watts. */
export type FrozenRuleSet = Omit<RuleSet, Added> & Partial<Pick<RuleSet, Added>>
type Added = 'mask' | 'adjacent' | 'spurious'

/**
 * Limits in watts that a frozen rule set leaves out were then judged by its number: those of the built-in
 * one, or none. Its mask was said in its words.
 */
export function completeRules(frozen: FrozenRuleSet): RuleSet {
  const { adjacent = null, spurious = null } = RULE_SETS.find(s => s.id === frozen.id) ?? {}
  return { mask: [], adjacent, spurious, ...frozen }
}

/** @throws {CoreError} unknown-rule-set */
export function ruleSet(id: string): RuleSet {
  const set = RULE_SETS.find(s => s.id === id)
  if (!set) throw new CoreError('unknown-rule-set', message('error.noRuleSet', { id }))
  return set
}
