import { describe, expect, it } from 'vitest'
import { absoluteLevel, absoluteLimits, ruleSet } from './index'

const LIMIT = { id: 'X', quantity: 'harmonicDbc', maxW: 4e-9, confidence: 'practice' } as const
const CARRIER = { value: 4, standardUncertainty: 0.02 }
/** @param dbc below the carrier, with a standard uncertainty of 1 dB */
const level = (dbc: number, part = {}) =>
  absoluteLevel({ value: dbc, standardUncertainty: 1, ...part }, CARRIER, LIMIT)

describe('a level below the carrier against a limit in watts', () => {
  it('4 W and -60 dBc are -24 dBm: 30 dB above 4 nW', () => {
    const { dbm, overDb, verdict } = level(-60)
    expect([dbm, overDb].map(v => Math.round(v * 10) / 10)).toEqual([-24, 30])
    expect(verdict).toBe('above')
  })
  it('is within or above only when its bound is so too', () => {
    // 4 nW are 90 dB below 4 W; the bound of the level is the root of three decibels.
    expect(level(-93).verdict).toBe('inside')
    expect(level(-87).verdict).toBe('above')
    expect([level(-91).verdict, level(-89).verdict]).toEqual(['cannot-tell', 'cannot-tell'])
  })
  it('is neither where nobody knows how far it is to be trusted', () => {
    expect(level(-120, { standardUncertainty: null }).verdict).toBe('cannot-tell')
    expect(level(-20, { standardUncertainty: null }).verdict).toBe('cannot-tell')
  })
  it('of a receiver that shows no less is never put against the set', () => {
    expect(level(-60, { bound: 'at-most' }).verdict).toBe('cannot-tell')
    expect(level(-93, { bound: 'at-most' }).verdict).toBe('inside')
  })
  it('that is at least so much is never within', () => {
    expect(level(-120, { bound: 'at-least' }).verdict).toBe('cannot-tell')
    expect(level(-60, { bound: 'at-least' }).verdict).toBe('above')
    // A needle of the wattmeter at its stop: the carrier is more than 4 W, and the harmonic with it.
    const stopped = { ...CARRIER, bound: 'at-least' as const }
    const harmonic = { value: -120, standardUncertainty: 1 }
    expect(absoluteLevel(harmonic, stopped, LIMIT)).toMatchObject({
      verdict: 'cannot-tell',
      undecided: 'bound',
    })
  })
  it('says what leaves it undecided', () => {
    expect(level(-91).undecided).toBe('uncertainty')
    expect(level(-93).undecided).toBeNull()
    expect(level(-120, { standardUncertainty: null }).undecided).toBe('unknown')
    expect(level(-60, { bound: 'at-most' }).undecided).toBe('bound')
    expect(level(-91, { bound: 'at-most' }).undecided).toBe('uncertainty')
  })
  it('is stricter where the second harmonic falls into a protected band', () => {
    const rules = ruleSet('R-EU')
    const harmonic = (hz: number) => absoluteLimits(rules, hz).find(l => l.quantity === 'harmonicDbc')!.maxW
    expect(harmonic(27e6)).toBe(rules.spurious!.protectedMaxW)
    expect(harmonic(14e6)).toBe(rules.spurious!.otherMaxW)
  })
})

describe('workshop targets', () => {
  it('are intervals about what they aim at', () => {
    for (const { id, bound } of ruleSet('R-SHOP').limits)
      if (bound.low !== undefined && bound.high !== undefined) expect(bound.low, id).toBeLessThan(bound.high)
  })
})
