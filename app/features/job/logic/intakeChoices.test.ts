import { describe, expect, it } from 'vitest'
import { RULE_SETS, ruleSet } from '#core/rules'
import type { SheetSummary } from '#shared/sheetFile'
import { isOtherPlan, modelChoices, offeredRuleSetId, promiseWords } from './intakeChoices'

const model = (planId: string, defaultRuleSetId: string) =>
  ({ id: 'x', model: 'X', description: 'of a test', planId, defaultRuleSetId }) as SheetSummary
const FM = model('uk27', 'R-UK27')

describe('what an intake offers', () => {
  it('models by name, with what tells two of one name apart', () => {
    expect(modelChoices([FM])).toEqual([{ value: 'x', title: 'X', subtitle: 'of a test' }])
  })
  it('the rule set of the workshop where it covers the channels, else that of the sheet', () => {
    expect(offeredRuleSetId(FM, RULE_SETS, null)).toBe('R-UK27')
    expect(offeredRuleSetId(FM, RULE_SETS, 'R-US')).toBe('R-UK27')
    expect(offeredRuleSetId(model('forty', 'R-EU'), RULE_SETS, 'R-US')).toBe('R-US')
    // One that is not here any more is still what the sheet says.
    expect(offeredRuleSetId(model('uk27', 'OWN-00000000'), [], 'R-US')).toBe('OWN-00000000')
  })
  it('a warning where the rule set is about other channels, and none where nothing is chosen', () => {
    expect(isOtherPlan(ruleSet('R-US'), FM)).toBe(true)
    expect(isOtherPlan(ruleSet('R-UK27'), FM)).toBe(false)
    expect(isOtherPlan(undefined, FM)).toBe(false)
    expect(isOtherPlan(ruleSet('R-US'), undefined)).toBe(false)
  })
  it('words for a promise that runs into blocked days, none for an open one', () => {
    expect(promiseWords(null, [], 'check')).toBe('')
    const now = new Date().toISOString().slice(0, 10)
    const far = new Date(Date.now() + 40 * 86_400_000).toISOString().slice(0, 10)
    expect(
      promiseWords(null, [{ fromDay: now, toDay: far, why: 'moving' }] as never, 'full-service'),
    ).toMatch(/moving/)
  })
})
