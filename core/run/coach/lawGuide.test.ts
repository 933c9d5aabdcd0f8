import { describe, expect, it } from 'vitest'
import { ruleSet } from '../../rules'
import { modelSheet } from '../../sheet'
import { rowTaken, turned } from '../../../test/fixtures/jobEvents'
import type { JobEvent } from '../jobEvent'
import { matrixState } from '../matrixState'
import { runState } from '../runState'
import { lawGuide } from './lawGuide'

const P5 = modelSheet('quillon-p5')
const AT = { mode: 'CW', channel: null } as const
const found = rowTaken('as-found', null, 'menu-REF', { menuCode: 25_003_200 }, AT)
const beat = (referenceHz: number, menuCode?: number) =>
  rowTaken('adjusting', 'A8.1', 'ref', { referenceHz, ...(menuCode === undefined ? {} : { menuCode }) }, AT)
function next(...events: JobEvent[]) {
  const rules = ruleSet('R-AM')
  const run = runState(P5, rules, events)
  const state = run.steps.find(s => s.step.id === 'A8.1')!
  const rows = matrixState(P5, rules, run.history, 'as-found')
  return lawGuide(P5, state.step, state.wants[0]!, run.history, rows)?.next ?? null
}

describe('the next value of a menu entry with a law', () => {
  it('is told from the value as found while nobody set it', () =>
    expect(next(found, beat(9_999_959))).toBe(25_003_097))
  it('is not told once it was set and not written down: the number that stands there is not known', () =>
    expect(next(found, beat(9_999_959), turned('REF'), beat(9_999_990))).toBeNull())
  it('is told from the value in the row of the reading, whatever was set before', () =>
    expect(next(found, beat(9_999_959), turned('REF'), beat(9_999_990, 25_003_100))).toBe(25_003_075))
  it('is not told without a value, from a stale reading, or where it is within', () => {
    expect(next(beat(9_999_959))).toBeNull()
    expect(next(found, beat(9_999_959), turned('REF'))).toBeNull()
    expect(next(found, beat(9_999_999))).toBeNull()
  })
})
