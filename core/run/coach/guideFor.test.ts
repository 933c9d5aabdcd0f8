import { describe, expect, it } from 'vitest'
import { ruleSet } from '../../rules'
import { adjusterOf, modelSheet, type ModelSheet } from '../../sheet'
import { runState } from '../runState'
import { rowTaken } from '../../../test/fixtures/jobEvents'
import { balanceView, menuEntry, seeksPeak, settingTarget } from './guideFor'

const at = (id: string) => {
  const sheet = modelSheet(id)
  const run = runState(sheet, ruleSet(sheet.defaultRuleSetId), [])
  return run.steps.flatMap(state =>
    state.wants.map(want => ({
      sheet,
      state,
      want,
      adjusters: state.step.adjusters.map(d => adjusterOf(sheet, d)),
    })),
  )
}
const SHEETS = ['osmund-27f', 'osmund-40a', 'larkfield-lx8', 'corvid-m6', 'quillon-hb150', 'quillon-p7']

describe('which guide fits a step', () => {
  it.each(SHEETS)('%s: a number is set only within a closed window, by something that turns', id => {
    for (const { state, want, adjusters } of at(id)) {
      const target = settingTarget(state.step, want, adjusters)
      if (!target) continue
      expect(target.low).toBeLessThan(target.high)
      expect(target.aim).toBeGreaterThanOrEqual(target.low)
      expect(target.aim).toBeLessThanOrEqual(target.high)
      expect([state.step.criterion, adjusters.some(a => a.kind !== 'menu-value')]).toEqual([null, true])
    }
  })
  it('a peak is sought with a coil, never where power is to be even over the band', () => {
    const of = (id: string) => at(id).filter(p => seeksPeak(p.state.step, p.adjusters))
    expect(of('osmund-27f').some(p => p.adjusters.some(a => a.role === 'coil'))).toBe(true)
    expect(of('osmund-27f').every(p => p.state.step.criterion?.kind !== 'spread')).toBe(true)
    expect(of('corvid-m6')).toEqual([])
  })
  it('a menu row names the entry that it turns, and the code itself is no measurement of it', () => {
    const rows = at('corvid-m6').flatMap(p => menuEntry(p.state.step, p.want, p.adjusters) ?? [])
    expect(rows.length).toBeGreaterThan(0)
    const codes = at('corvid-m6').filter(p => p.want.want.quantity === 'menuCode')
    expect(codes.length).toBeGreaterThan(0)
    for (const p of codes) expect(menuEntry(p.state.step, p.want, p.adjusters)).toBeNull()
    expect(at('osmund-27f').flatMap(p => menuEntry(p.state.step, p.want, p.adjusters) ?? [])).toEqual([])
  })
})

describe('even power over the band', () => {
  const sheet: ModelSheet = modelSheet('osmund-27f')
  const step = sheet.procedure.find(s => s.criterion?.kind === 'spread' && s.points.length === 3)!
  const { quantity } = step.criterion as { quantity: 'powerW' }
  const round = (...watts: number[]) =>
    watts.map((value, i) => rowTaken('as-found', step.id, step.points[i]!.id, { [quantity]: value }))
  const view = (...events: ReturnType<typeof round>) =>
    balanceView(sheet, step, runState(sheet, ruleSet('R-UK27'), events).history, 0.5)!

  it('has no move before a round is whole, and one after it', () => {
    expect(view(...round(3.2, 3.6)).rounds.passes).toEqual([])
    const one = view(...round(3, 3.6, 3.3))
    expect(one.rounds.passes).toHaveLength(1)
    expect(one.next).not.toBeNull()
    expect(one.limitDb).toBe(0.5)
  })
  it('looks at the last five rounds only', () => {
    const seven = Array.from({ length: 7 }, (_, i) => round(3 + i / 10, 3.6, 3.3)).flat()
    expect(view(...seven).rounds.passes).toHaveLength(5)
  })
  it('is no guide for another step', () => {
    const other = sheet.procedure.find(s => s.criterion === null)!
    expect(balanceView(sheet, other, runState(sheet, ruleSet('R-UK27'), []).history, 0.5)).toBeNull()
  })
})
