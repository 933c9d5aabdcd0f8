import { describe, expect, it } from 'vitest'
import { rowTaken } from '../../test/fixtures/jobEvents'
import { OWN_PLAN, bandsLike, channelPlan, ruleSet, type PlanBand } from '../rules'
import { runState } from '../run'
import { changePlan, modelSheet, operatingPoint, pointOf, type ModelSheet } from '../sheet'
import { compliance } from './index'

const UK_20 = 60
const named = (name: string, planId: string): PlanBand => ({ ...bandsLike(channelPlan(planId))[0]!, name })
/** The forty channels, and forty others on the same switch. */
const TWO_PLANS: ModelSheet = changePlan(modelSheet('osmund-40a'), {
  planId: OWN_PLAN,
  bands: [named('home', 'forty'), named('FM-UK', 'uk27')],
})
const reads = (quantity: string) => (p: ModelSheet['matrix'][number]) =>
  p.wants.some(w => w.quantity === quantity)
const HARMONIC = TWO_PLANS.matrix.find(reads('harmonicDbc'))!
const CARRIER = TWO_PLANS.matrix.find(p => p.state.toneHz === null && reads('powerW')(p))!
/** Both rows on one channel. */
const on = (channel: number): ModelSheet => ({
  ...TWO_PLANS,
  matrix: TWO_PLANS.matrix.map(p =>
    p === HARMONIC || p === CARRIER ? { ...p, state: { ...p.state, channel } } : p,
  ),
})
/** A harmonic far above what any rule set of these bands allows. */
function outcomes(sheet: ModelSheet, rules: string) {
  const left = ({ id }: typeof HARMONIC, values: Parameters<typeof rowTaken>[3]) =>
    rowTaken('as-left', null, id, values, operatingPoint(pointOf(sheet, null, id).state))
  const events = [left(CARRIER, { powerW: 3.9 }), left(HARMONIC, { harmonicDbc: -30 })]
  const found = compliance(sheet, ruleSet(rules), runState(sheet, ruleSet(rules), events))
  return found.standings
    .filter(s => 'quantity' in s.limit && s.limit.quantity === 'harmonicDbc')
    .map(s => s.outcome)
}

describe('limits on what lies beside the carrier', () => {
  it('hold on the channels that the rule set is about', () => {
    expect(outcomes(on(19), 'R-EU')).toEqual(['above'])
  })
  it('say nothing of a channel of another plan: it was not measured where they hold', () => {
    expect(outcomes(on(UK_20), 'R-EU')).toEqual(['not-measured'])
  })
})
