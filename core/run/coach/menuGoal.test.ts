import { describe, expect, it } from 'vitest'
import { ruleSet } from '../../rules'
import { entriesByState, modelSheet } from '../../sheet'
import { rowTaken, turned } from '../../../test/fixtures/jobEvents'
import type { JobEvent } from '../jobEvent'
import { matrixState } from '../matrixState'
import { runState } from '../runState'
import { lastCode, originalCode, untouchedCode } from './menuGoal'

const M9 = modelSheet('corvid-m9')
const run = (...events: JobEvent[]) => runState(M9, ruleSet('R-EU'), events)
const HOME = { mode: 'AM', channel: null, coverage: 'standard' } as const
const EXPANDED = { ...HOME, coverage: 'expanded' } as const
const menu = (pointId: string, menuCode: number, at: typeof HOME | typeof EXPANDED) =>
  rowTaken('as-found', null, pointId, { menuCode }, at)
const power = (stepId: string, powerW: number, menuCode: number, at: typeof HOME | typeof EXPANDED) =>
  rowTaken('adjusting', stepId, 'power', { powerW, menuCode }, { ...at, mode: 'FM', channel: 20 })
const p1 = (coverage: 'standard' | 'expanded') => ({ entry: 'P1', coverage })

describe('a menu whose values each country state keeps for itself', () => {
  it('is told by the rows of the sheet', () => {
    expect(entriesByState(M9)).toEqual(['P1', 'P2', 'D1', 'A1', 'A2', 'S1'])
    expect(entriesByState(modelSheet('corvid-m6'))).toEqual([])
  })
  it('has an original in each state, and none where it was not written down', () => {
    const { history } = run(menu('menu-P1', 0x51, HOME), menu('menu-P1-expanded', 0x5c, EXPANDED))
    const rows = matrixState(M9, ruleSet('R-EU'), history, 'as-found')
    expect([originalCode(rows, p1('standard')), originalCode(rows, p1('expanded'))]).toEqual([0x51, 0x5c])
    const half = matrixState(M9, ruleSet('R-EU'), run(menu('menu-P1', 0x51, HOME)).history, 'as-found')
    expect(originalCode(half, p1('expanded'))).toBeNull()
  })
  it('was left at what was written in that state', () => {
    const state = run(power('M9.5', 3.84, 0x56, EXPANDED), power('M9.3', 3.5, 0x53, HOME))
    expect([lastCode(M9, state, p1('standard')), lastCode(M9, state, p1('expanded'))]).toEqual([0x53, 0x56])
  })
  it('is not known any more once it was set and not written down', () => {
    const inStep = (stepId: string) => ({ ...turned('P1'), stepId }) as JobEvent
    const home = power('M9.3', 3.84, 0x56, HOME)
    expect(lastCode(M9, run(home, inStep('M9.3')), p1('standard'))).toBeNull()
    expect(lastCode(M9, run(home, inStep('M9.5')), p1('standard')), 'the other state').toBe(0x56)
    const found = menu('menu-P1', 0x51, HOME)
    const standing = (...events: JobEvent[]) => {
      const { history } = run(found, ...events)
      return untouchedCode(matrixState(M9, ruleSet('R-EU'), history, 'as-found'), M9, history, p1('standard'))
    }
    expect(standing()).toBe(0x51)
    expect(standing(inStep('M9.3'))).toBeNull()
    expect(standing(inStep('M9.5')), 'the other state').toBe(0x51)
  })
  it('turned in one state leaves the readings of the other', () => {
    const inStep = (stepId: string) => ({ ...turned('P1'), stepId }) as JobEvent
    const home = power('M9.3', 3.84, 0x56, HOME)
    const staleBy = (...events: JobEvent[]) =>
      run(home, ...events)
        .history.readings.find(r => r.reading.quantity === 'powerW')!
        .staleBy.map(t => t.designator)
    expect(staleBy(inStep('M9.5'))).toEqual([])
    expect(staleBy(inStep('M9.3'))).toEqual(['P1'])
    expect(staleBy(turned('P1')), 'nobody says in which').toEqual(['P1'])
    expect(staleBy({ ...turned('P2'), stepId: 'M9.4' } as JobEvent), 'of the other mode').toEqual([])
  })
})
