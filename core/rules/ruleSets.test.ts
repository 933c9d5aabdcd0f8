import { describe, expect, it } from 'vitest'
import { completeRules, ruleSet, type FrozenRuleSet } from './index'

/** As records were frozen before a rule set held its mask and its limits in watts. */
function frozenBefore(id: string, as = id): FrozenRuleSet {
  const { mask: _m, adjacent: _a, spurious: _s, ...rest } = ruleSet(id)
  return { ...rest, id: as }
}

describe('a rule set that a record froze', () => {
  it('before limits in watts stood in it has those that it was judged by', () => {
    expect(completeRules(frozenBefore('R-EU'))).toMatchObject({
      mask: [],
      adjacent: { id: 'R-EU7', maxW: 20e-6 },
      spurious: { id: 'R-EU8', protectedMaxW: 4e-9 },
    })
    expect(completeRules(frozenBefore('R-EU', 'OWN-1'))).toMatchObject({ adjacent: null, spurious: null })
  })
  it('with them is as it was frozen, whatever the built-in one says now', () => {
    const frozen = { ...ruleSet('R-UK27'), adjacent: null }
    expect(completeRules(frozen)).toEqual(frozen)
  })
})
