import { describe, expect, it } from 'vitest'
import { RULE_SETS, limitFor, ruleSet } from '#core/rules'
import { ruleSetBody, toBody, toRuleSet } from './ruleSet'

const strict = { strict: true } as const
const own = (change: object = {}) => ({ ...toBody(ruleSet('R-UK27')), ...change })
const limit = (change: object) => own({ limits: [{ ...toBody(ruleSet('R-UK27')).limits[0]!, ...change }] })

describe('a rule set of one\u2019s own', () => {
  it.each(RULE_SETS.map(r => [r.id, r] as const))('made from %s judges as it does', async (_id, set) => {
    const body = await ruleSetBody.validate(toBody(set), strict)
    const again = toRuleSet({ id: 'OWN-00000000', version: 1, body })
    expect(again.limits.map(l => ({ ...l, source: '', confidence: '' }))).toEqual(
      set.limits.map(l => ({ ...l, source: '', confidence: '' })),
    )
    expect([again.kind, again.planId, again.fromMemory]).toEqual([set.kind, set.planId, set.fromMemory])
  })
  it('limits what it says and nothing else', async () => {
    const body = await ruleSetBody.validate(
      limit({ id: 'L1', high: 1, modes: ['FM'], lowPower: false }),
      strict,
    )
    const set = toRuleSet({ id: 'OWN-00000000', version: 1, body })
    const at = (mode: 'AM' | 'FM', lowPower: boolean) =>
      limitFor(set, 'powerW', { planId: 'uk27', channel: 20, lowPower, mode })
    expect([at('FM', false)?.high, at('AM', false), at('FM', true)]).toEqual([1, null, null])
  })
  it.each([
    [limit({ high: null }), /a minimum, a maximum or an error is missing/],
    [limit({ low: 5, high: 4 }), /minimum is above the maximum/],
    [limit({ high: -3 }), /negative/],
    [limit({ high: 1e9 }), /outside 0 to 2000 W/],
    [limit({ quantity: 'smellW' }), /quantity/],
    [own({ source: '' }), /Source/],
    [own({ asOf: '1.1.2026' }), /As of/],
    [own({ limits: [] }), /Limits/],
    [own({ name: '' }), /Name/],
    [own({ extra: 1 }), /extra/],
    [limit({ words: '' }), /In words/],
  ])('%# is refused in words', async (body, words) => {
    await expect(ruleSetBody.validate(body, strict)).rejects.toThrow(words)
  })
})
