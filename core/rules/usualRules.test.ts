import { expect, it } from 'vitest'
import { RULES_AMATEUR } from './sets/amateur'
import { RULES_EU } from './sets/europe'
import { RULES_UK27 } from './sets/uk27'
import { RULES_US } from './sets/us'
import { RULES_SHOP } from './sets/workshop'
import { channelPlan } from './channelPlans'
import { usualRules } from './usualRules'

it.each([
  ['the country’s, where it covers the channels of the model', RULES_US, RULES_EU, 'forty', RULES_US],
  ['the country’s for a multimode that holds the channels', RULES_US, RULES_EU, 'six-band', RULES_US],
  ['the sheet’s, for channels the country’s does not speak of', RULES_US, RULES_UK27, 'uk27', RULES_UK27],
  ['the sheet’s for the amateur bands', RULES_EU, RULES_AMATEUR, 'forty', RULES_AMATEUR],
  ['the sheet’s where it is judged by the workshop’s own limits', RULES_EU, RULES_SHOP, 'forty', RULES_SHOP],
  ['the sheet’s where nothing was chosen', null, RULES_EU, 'forty', RULES_EU],
  ['the sheet’s where the workshop’s are for no channels', RULES_SHOP, RULES_EU, 'forty', RULES_EU],
  ['nothing where the sheet’s is not known', RULES_EU, null, 'forty', null],
])('%s', (_, workshop, ofSheet, planId, usual) => {
  expect(usualRules(workshop, ofSheet, channelPlan(planId))).toBe(usual)
})
