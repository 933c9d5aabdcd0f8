import { describe, expect, it } from 'vitest'
import { eachRuleSet, withBandRules } from './bandRules'
import { OWN_PLAN, bandsLike, type OfPlan } from './ownPlan'
import { channelPlan } from './channelPlans'
import { limitFor } from './ruleSet'
import { RULE_SETS, ruleSet } from './ruleSets'

const known = (id: string) => RULE_SETS.find(r => r.id === id)
const [forty] = bandsLike(channelPlan('forty'))
const [uk27] = bandsLike(channelPlan('uk27'))
const bands = (ruleSetId?: string): OfPlan => ({
  planId: OWN_PLAN,
  bands: [
    { ...forty!, name: 'CB' },
    { ...uk27!, name: 'FM-UK', ...(ruleSetId ? { ruleSetId } : {}) },
  ],
})
const names = (jobRules: string, sheet: OfPlan) =>
  eachRuleSet(withBandRules(ruleSet(jobRules), [sheet], known)).map(r => r.id)
const powerAt = (jobRules: string, sheet: OfPlan, centreHz: number | null) =>
  limitFor(withBandRules(ruleSet(jobRules), [sheet], known), 'powerW', {
    centreHz,
    lowPower: false,
    mode: 'FM',
  })?.ruleSetName ?? null

describe('each band by rules of its own', () => {
  it('has those that the sheet names, where the job\u2019s say nothing of its channels', () => {
    expect(names('R-EU', bands('R-UK27'))).toEqual(['R-EU', 'R-UK27'])
    expect(powerAt('R-EU', bands('R-UK27'), 27_791_250)).toBe(ruleSet('R-UK27').name)
    expect(powerAt('R-EU', bands('R-UK27'), 27_205_000)).toBe(ruleSet('R-EU').name)
  })
  it('is measured and not judged where none is named, or one that nobody knows', () => {
    expect(powerAt('R-EU', bands(), 27_791_250)).toBeNull()
    expect(names('R-EU', bands('OWN-GONE'))).toEqual(['R-EU'])
    expect(powerAt('R-EU', bands('OWN-GONE'), 27_791_250)).toBeNull()
  })
  it('keeps the rules that were chosen for the job where they speak of the band', () => {
    expect(names('R-UK27', bands('R-UK27'))).toEqual(['R-UK27'])
    expect(names('R-AM', bands('R-UK27'))).toEqual(['R-AM'])
  })
  it('is nothing to a set whose plan ships, nor to a reading of no channel', () => {
    expect(names('R-EU', { ...bands('R-UK27'), planId: 'forty' })).toEqual(['R-EU'])
    expect(powerAt('R-EU', bands('R-UK27'), null)).toBe(ruleSet('R-EU').name)
  })
})
