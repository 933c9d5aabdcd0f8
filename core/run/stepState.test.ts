import { describe, expect, it } from 'vitest'
import { ruleSet } from '../rules'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import type { ModelSheet, Step } from '../sheet'
import { confirmed, rowTaken } from '../../test/fixtures/jobEvents'
import type { JobEvent } from './jobEvent'
import { runState } from './runState'

/** No limit says anything, and the sheet has no targets: whatever is read is fine. */
const NO_LIMITS = { ...ruleSet('R-UK27'), limits: [] }
const BARE: ModelSheet = {
  ...OSMUND_27F,
  procedure: OSMUND_27F.procedure.map((s, i) => ({
    ...s,
    needs: [],
    skipIf: i === 1 ? OSMUND_27F.procedure[0]!.id : null,
    criterion: null,
    points: s.points.map(p => ({ ...p, wants: p.wants.map(w => ({ ...w, target: null })) })),
  })),
}
const [first, second] = BARE.procedure as [Step, Step]
const point = first.points[0]!
const taken = rowTaken(
  'adjusting',
  first.id,
  point.id,
  Object.fromEntries(point.wants.map(w => [w.quantity, 1])),
)
const stateOf = (events: JobEvent[], id: string) =>
  runState(BARE, NO_LIMITS, events).steps.find(s => s.step.id === id)!

describe('a step of which nothing is asked', () => {
  it('is measured, not within: nothing was judged', () => {
    expect(stateOf([taken], first.id).status).toBe('measured')
    expect(runState(BARE, NO_LIMITS, [taken]).next).toMatchObject({
      stepId: first.id,
      reason: { kind: 'unconfirmed', status: 'measured' },
    })
  })
  it('is done when it is confirmed, and makes no other step unnecessary', () => {
    const events = [taken, confirmed(first.id), confirmed(second.id, 'skipped')]
    expect(stateOf(events, first.id).satisfied).toBe(true)
    expect(stateOf(events, second.id).satisfied).toBe(false)
  })
})
