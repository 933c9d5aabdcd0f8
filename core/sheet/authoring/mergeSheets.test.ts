import { describe, expect, it } from 'vitest'
import { mergeSheets, modelSheet, taking, withoutAdjuster, type ModelSheet } from '../index'

const FM = modelSheet('osmund-27f')

describe('two people on one sheet', () => {
  const where = (sheet: ModelSheet, d: string) => sheet.adjusters.find(a => a.designator === d)!.where
  const with_ = (sheet: ModelSheet, d: string, part: object): ModelSheet => ({
    ...sheet,
    adjusters: sheet.adjusters.map(a => (a.designator === d ? { ...a, ...part } : a)),
  })
  it('what only one of them changed is put together', () => {
    const { merged, conflicts, taken } = mergeSheets(FM, with_(FM, 'CT2', { where: 'mine' }), {
      ...with_(FM, 'CT1', { where: 'theirs' }),
      revision: 2,
    })
    expect([where(merged, 'CT2'), where(merged, 'CT1'), conflicts, taken, merged.revision]).toEqual([
      'mine',
      'theirs',
      [],
      1,
      2,
    ])
  })
  it('what both changed is told field by field, and stands as theirs until mine is taken', () => {
    const mine = with_(FM, 'CT2', { where: 'mine' })
    const { merged, conflicts } = mergeSheets(FM, mine, with_(FM, 'CT2', { where: 'theirs', turn: 'other' }))
    expect(conflicts).toEqual([
      {
        part: 'adjusters',
        name: 'CT2',
        field: 'where',
        base: where(FM, 'CT2'),
        mine: 'mine',
        theirs: 'theirs',
      },
    ])
    expect(where(merged, 'CT2')).toBe('theirs')
    const taken = taking(merged, mine, conflicts[0]!)
    expect([where(taken, 'CT2'), taken.adjusters.find(a => a.designator === 'CT2')!.turn]).toEqual([
      'mine',
      'other',
    ])
  })
  it('the same change by both is none', () =>
    expect(
      mergeSheets(FM, with_(FM, 'CT2', { where: 'x' }), with_(FM, 'CT2', { where: 'x' })).conflicts,
    ).toEqual([]))
  it('an entry that one took out and the other changed is a conflict; a new one is added', () => {
    const without = withoutAdjuster(FM, 'CT2')
    expect(
      mergeSheets(FM, without, with_(FM, 'CT2', { where: 'theirs' })).conflicts.map(c => [c.name, c.field]),
    ).toContainEqual(['CT2', ''])
    const more = { ...FM, adjusters: [...FM.adjusters, { ...FM.adjusters[0]!, designator: 'CT9' }] }
    expect(
      mergeSheets(FM, more, with_(FM, 'CT1', { where: 'theirs' })).merged.adjusters.map(a => a.designator),
    ).toContain('CT9')
  })
})
