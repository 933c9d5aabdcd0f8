import { describe, expect, it } from 'vitest'
import { RULE_SETS, emissionMask, limitFor, ruleSet } from '#core/rules'
import { ruleSetBody } from './ruleSet'
import { completeBody, toBody, toRuleSet } from './ownRuleSet'

const strict = { strict: true } as const
const own = (change: object = {}) => ({ ...toBody(ruleSet('R-UK27')), ...change })
const limit = (change: object) => own({ limits: [{ ...toBody(ruleSet('R-UK27')).limits[0]!, ...change }] })
const part = (change: object) => ({
  modes: ['AM'],
  fromHz: 4000,
  toHz: 8000,
  belowDb: 25,
  addsPowerDb: false,
  ...change,
})

describe('a rule set of one\u2019s own', () => {
  it.each(RULE_SETS.map(r => [r.id, r] as const))('made from %s judges as it does', async (_id, set) => {
    const body = await ruleSetBody.validate(toBody(set), strict)
    const again = toRuleSet({ id: 'OWN-00000000', version: 1, body })
    expect(again.limits.map(l => ({ ...l, source: '', confidence: '' }))).toEqual(
      set.limits.map(l => ({ ...l, source: '', confidence: '' })),
    )
    expect(again.mask).toEqual(set.mask)
    expect([again.adjacent?.maxW, again.spurious?.protectedMaxW, again.spurious?.otherMaxW]).toEqual([
      set.adjacent?.maxW,
      set.spurious?.protectedMaxW,
      set.spurious?.otherMaxW,
    ])
    expect([again.kind, again.planId, again.fromMemory]).toEqual([set.kind, set.planId, set.fromMemory])
  })
  it('limits what it says and nothing else', async () => {
    const body = await ruleSetBody.validate(
      limit({ id: 'L1', high: 1, modes: ['FM'], lowPower: false }),
      strict,
    )
    const set = toRuleSet({ id: 'OWN-00000000', version: 1, body })
    const at = (mode: 'AM' | 'FM', lowPower: boolean) =>
      limitFor(set, 'powerW', { centreHz: 27_791_250, lowPower, mode })
    expect([at('FM', false)?.high, at('AM', false), at('FM', true)]).toEqual([1, null, null])
  })
  it('copied from R-US keeps its mask for AM and for SSB', async () => {
    const body = await ruleSetBody.validate(toBody(ruleSet('R-US')), strict)
    const { mask } = toRuleSet({ id: 'OWN-00000000', version: 1, body })
    expect(emissionMask(mask, 'AM', 4)!.map(p => p.belowDb)).toEqual([25, 35, 53 + 10 * Math.log10(4)])
    expect(emissionMask(mask, 'USB', 12)!.map(p => p.fromHz)).toEqual([2000, 6000, 10_000])
    expect(emissionMask(mask, 'CW', 4)).toBeNull()
  })
  it('says what its remarks say, line by line', async () => {
    const body = await ruleSetBody.validate(own(), strict)
    expect(toRuleSet({ id: 'OWN-00000000', version: 1, body }).alsoSays).toEqual(ruleSet('R-UK27').alsoSays)
    expect(toRuleSet({ id: 'OWN-00000000', version: 1, body: { ...body, note: '' } }).alsoSays).toEqual([])
  })
  it('kept before there were masks has none, and judges as before', () => {
    const { mask: _m, adjacent: _a, spurious: _s, ...before } = toBody(ruleSet('R-UK27'))
    const set = toRuleSet({ id: 'OWN-00000000', version: 1, body: completeBody(before) })
    expect([set.mask, set.adjacent, set.spurious, set.limits.length]).toEqual([[], null, null, 5])
  })
  it.each([
    [own({ mask: [part({ fromHz: Number.NaN })] }), /^Emission mask: "from" is not a number$/],
    [own({ adjacent: { id: 'R-UK6', maxW: Number.NaN } }), /^Adjacent channel: not a number$/],
    [own({ mask: [part({ modes: [] })] }), /at least one mode/],
    [own({ mask: [part({ toHz: 4000 })] }), /not above "from"/],
    [own({ mask: [part({ belowDb: -25 })] }), /not negative/],
    [own({ mask: [part({ toHz: 1e6 })] }), /max. 250 kHz/],
    [own({ adjacent: { id: 'R-UK6', maxW: 0 } }), /above zero/],
    [own({ spurious: { id: 'R-UK7', protectedMaxW: 5e-8, otherMaxW: null } }), /elsewhere/],
    [limit({ high: null }), /a minimum, a maximum or an error is missing/],
    [limit({ low: 5, high: 4 }), /minimum is above the maximum/],
    [limit({ high: -3 }), /negative/],
    [limit({ high: 1e9 }), /outside 0 to 2000 W/],
    [limit({ quantity: 'smellW' }), /Quantity/],
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
