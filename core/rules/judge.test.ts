import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boundToStandard } from '../quantity'
import { channelHz } from './channelPlan'
import { channelPlan } from './channelPlans'
import { judge } from './judge'
import { limitFor, type ResolvedLimit } from './ruleSet'
import { RULE_SETS, ruleSet } from './ruleSets'

const at = (channel: number | null, lowPower = false) => ({
  centreHz: channel === null ? null : channelHz(channelPlan('uk27'), channel),
  lowPower,
  mode: 'FM' as const,
})
const uk = (quantity: 'powerW' | 'deviationPositiveHz' | 'carrierHz', lowPower = false): ResolvedLimit =>
  limitFor(ruleSet('R-UK27'), quantity, at(20, lowPower))!
const read = (value: number, bound: number) => ({ value, standardUncertainty: boundToStandard(bound) })

describe('a position of the power control between its ends', () => {
  const between = (id: string) => limitFor(ruleSet(id), 'powerW', { ...at(20), powerPosition: '1.5 W' })
  it('may have no more than the highest, and need not have what only an end must have', () => {
    expect(between('R-UK27')).toMatchObject({ low: null, high: 4 })
    expect(between('R-SHOP')).toBeNull()
    expect(limitFor(ruleSet('R-UK27'), 'deviationPositiveHz', { ...at(20), powerPosition: '1.5 W' })).toEqual(
      uk('deviationPositiveHz'),
    )
  })
})

describe('legal limits, guard band', () => {
  it('noise is guarded against by twice its standard deviation, an accuracy class by its half width', () => {
    const near = { value: 3.9, standardUncertainty: 0.1 / 1.9 }
    expect(judge(near, null, uk('powerW')).verdict).toBe('inside')
    expect(judge({ ...near, spread: 'normal' }, null, uk('powerW')).verdict).toBe('cannot-tell')
  })
  // Source: JCGM 106 / ISO 14253-1 / ILAC-G8 (from memory): inside only if reading + U <= limit, outside only
  // if reading - U > limit.
  // Worked by hand: 3.90 W against 4.00 W.
  it.each([
    [3.9, 3.9 * 0.02, 'inside'], // 3.82 .. 3.98
    [3.9, 3.9 * 0.05, 'cannot-tell'], // 3.71 .. 4.10
    [3.9, 0.05 * 20, 'cannot-tell'], // 5 % of a 20 W scale: 2.9 .. 4.9
    [4.3, 4.3 * 0.02, 'above'],
    [4.3, 4.3 * 0.08, 'cannot-tell'],
  ])('%d W with U %d is %s', (value, bound, verdict) => {
    expect(judge(read(value, bound), null, uk('powerW')).verdict).toBe(verdict)
  })
  it.each([
    [2400, 0.03, 'inside'],
    [2400, 0.05, 'cannot-tell'],
    [2700, 0.03, 'above'],
  ])('deviation %d Hz read to %d is %s', (value, share, verdict) => {
    expect(judge(read(value, value * share), null, uk('deviationPositiveHz')).verdict).toBe(verdict)
  })
  it('takes the limit of the switch position', () => {
    expect(uk('powerW', true).high).toBe(0.4)
    expect(judge(read(0.9, 0.027), null, uk('powerW', true))).toMatchObject({
      verdict: 'above',
      reasons: [{ limitId: 'R-UK3' }],
    })
  })
  it('has two sides for a frequency', () => {
    expect(judge(read(27_791_250 - 1600, 3), null, uk('carrierHz')).verdict).toBe('below')
    expect(judge(read(27_791_250 - 1498, 3), null, uk('carrierHz')).verdict).toBe('cannot-tell')
    expect(judge(read(27_791_250 + 1400, 3), null, uk('carrierHz')).verdict).toBe('inside')
  })
  it('cannot be decided without knowing the uncertainty, and says so', () => {
    const judgement = judge({ value: 3, standardUncertainty: null }, null, uk('powerW'))
    expect(judgement.verdict).toBe('cannot-tell')
    expect(judgement.reasons).toMatchObject([{ rule: 'limit', undecided: 'unknown' }])
  })
  it('says what leaves it undecided: the uncertainty, that nobody knows it, or a needle at its stop', () => {
    const undecided = (value: number, uncertainty: number | null, bound?: 'at-least' | 'at-most') =>
      judge({ value, standardUncertainty: uncertainty, ...(bound ? { bound } : {}) }, null, uk('powerW'))
        .reasons[0]!.undecided
    expect(undecided(3.95, 0.1)).toBe('uncertainty')
    expect(undecided(3, 0.1)).toBeNull()
    expect(undecided(4.5, 0.1)).toBeNull()
    expect(undecided(3, null, 'at-least')).toBe('unknown')
    expect(undecided(3, 0.01, 'at-least')).toBe('bound')
    // It would be inside but for the uncertainty.
    expect(undecided(3.99, 0.1, 'at-most')).toBe('uncertainty')
    expect(undecided(9, 0.01, 'at-most')).toBe('bound')
  })
  it('never calls inside what could be outside', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (value, bound) => {
          const { verdict } = judge(read(value, bound), null, uk('powerW'))
          if (verdict === 'inside') expect(value + bound).toBeLessThanOrEqual(4 + 1e-12)
          if (verdict === 'above') expect(value - bound).toBeGreaterThan(4 - 1e-12)
        },
      ),
    )
  })
})

describe('a needle at its stop', () => {
  const stop = (value: number, bound: 'at-least' | 'at-most') => ({ ...read(value, 0), bound })
  it('decides what its bound decides, and nothing else', () => {
    expect(judge(stop(20, 'at-least'), null, uk('powerW')).verdict).toBe('above')
    expect(judge(stop(3, 'at-least'), null, uk('powerW')).verdict).toBe('cannot-tell')
    expect(judge(stop(3, 'at-most'), null, uk('powerW')).verdict).toBe('inside')
    expect(judge(stop(5, 'at-most'), null, uk('powerW')).verdict).toBe('cannot-tell')
    expect(judge(stop(3, 'at-most'), { low: 3.6, high: 4, aim: 3.8 }, null).verdict).toBe('below')
    expect(judge(stop(3.8, 'at-least'), { low: 3.6, high: 4, aim: 3.8 }, null).verdict).toBe('cannot-tell')
  })
})

describe('a sum that falls on a limit', () => {
  it('is not decided by its last binary digit: 3.6 W with U of 0.4 W against 4 W, 0.1 + 0.2 against 0.3', () => {
    expect(judge(read(3.6, 0.4), null, uk('powerW')).verdict).toBe('inside')
    expect(judge(read(0.1 + 0.2, 0), { low: null, high: 0.3, aim: null }, null).verdict).toBe('inside')
    expect(judge(read(0.3001, 0), { low: null, high: 0.3, aim: null }, null).verdict).toBe('above')
  })
})

describe('workshop windows, plain acceptance', () => {
  const window = { low: 3.6, high: 4, aim: 3.8 }
  it.each([
    [3.6, 'inside'],
    [4, 'inside'],
    [3.59, 'below'],
    [4.01, 'above'],
  ])('%d W is %s whatever the meter', (value, verdict) => {
    expect(judge(read(value, 0.01), window, null).verdict).toBe(verdict)
    expect(judge(read(value, 1), window, null).verdict).toBe(verdict)
  })
  it('says when the meter cannot resolve the tolerance: more than a third of it', () => {
    expect(judge(read(3.8, 0.13), window, null).resolvesTarget).toBe(true)
    expect(judge(read(3.8, 0.14), window, null)).toMatchObject({ resolvesTarget: false, verdict: 'inside' })
    // 0 to +20 Hz at 27.79 MHz: a 0.2 ppm counter (5.6 Hz) just does, 1 ppm does not (common practice)
    const frequency = { low: 27_791_250, high: 27_791_270, aim: 27_791_260 }
    expect(judge(read(27_791_260, 5.6), frequency, null).resolvesTarget).toBe(true)
    expect(judge(read(27_791_260, 27.8), frequency, null).resolvesTarget).toBe(false)
  })
  it('applies to the workshop rule set as well', () => {
    const shop = limitFor(ruleSet('R-SHOP'), 'powerW', at(20))!
    expect(judge(read(3.99, 0.4), null, shop).verdict).toBe('inside')
  })
})

describe('both rules together', () => {
  const window = { low: 3.6, high: 4, aim: 3.8 }
  it.each([
    [3.8, 0.114, 'inside'],
    [3.95, 0.12, 'cannot-tell'],
    [3.5, 0.1, 'below'],
    [4.2, 0.13, 'above'],
    [4.05, 0.12, 'above'],
  ])('%d W, U %d: %s', (value, bound, verdict) => {
    expect(judge(read(value, bound), window, uk('powerW')).verdict).toBe(verdict)
  })
  it('asks nothing of a quantity without target and limit', () => {
    expect(judge(read(13.8, 0.1), null, null)).toEqual({
      verdict: 'inside',
      resolvesTarget: true,
      reasons: [],
    })
  })
})

describe('rule sets as data', () => {
  it.each(RULE_SETS.map(s => [s.id, s] as const))(
    '%s names its source, its date and whether the text was at hand',
    (_id, set) => {
      expect(set.source).not.toBe('')
      expect(set.asOf).toMatch(/^\d{4}-\d{2}-\d{2}$/)
      expect(set.limits.every(l => l.source !== '')).toBe(true)
      expect(set.kind === 'legal' ? set.fromMemory : true).toBe(true)
    },
  )
  it('gives the US tolerance of 50 ppm per channel', () => {
    // Source: 47 CFR 95.965 (from memory); hand calculation for channels 1, 19, 40.
    const half = (channel: number) => {
      const limit = limitFor(ruleSet('R-US'), 'carrierHz', {
        centreHz: channelHz(channelPlan('forty'), channel),
        lowPower: false,
        mode: 'AM',
      })!
      return (limit.high! - limit.low!) / 2
    }
    expect([1, 19, 40].map(c => Number(half(c).toFixed(1)))).toEqual([1348.3, 1359.3, 1370.3])
  })
  it('says nothing about a quantity without a limit, and refuses a frequency without a channel', () => {
    expect(limitFor(ruleSet('R-UK27'), 'supplyA', at(20))).toBeNull()
    expect(() => limitFor(ruleSet('R-UK27'), 'carrierHz', at(null))).toThrow(
      expect.objectContaining({ code: 'unknown-channel' }),
    )
    expect(() => ruleSet('R-MOON')).toThrow(expect.objectContaining({ code: 'unknown-rule-set' }))
  })
})

describe('a tolerance with one side', () => {
  it('has no width that a meter could fail to resolve', () => {
    const rules = (low: number | null, high: number | null) =>
      judge({ value: 30, standardUncertainty: 5 }, { low, high, aim: null }, null).reasons.map(r => r.rule)
    expect(rules(20, null)).not.toContain('resolution')
    expect(rules(null, 40)).not.toContain('resolution')
    expect(rules(29, 31)).toContain('resolution')
  })
})
