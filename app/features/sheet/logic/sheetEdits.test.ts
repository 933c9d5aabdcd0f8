import { describe, expect, it } from 'vitest'
import { checkSheet, modelSheet } from '#core/sheet'
import { leftHanging, listEdit, problemPlace, withAdjusters, withProcedure } from './sheetEdits'

const FM = modelSheet('osmund-27f')

describe('what was done to a list', () => {
  it.each([
    [['a', 'b'], ['a', 'c'], { kind: 'renamed', before: 'b', after: 'c' }],
    [['a', 'b'], ['b'], { kind: 'removed', name: 'a' }],
    [['a', 'b'], ['b', 'a'], null],
    [['a'], ['a', 'b'], null],
    [['a', 'b'], ['c', 'd'], null],
  ] as const)('%j to %j', (before, after, edit) => expect(listEdit(before, after)).toEqual(edit))
  it('a designator or a step number typed anew is carried through', () => {
    expect(
      checkSheet(
        withAdjusters(
          FM,
          FM.adjusters.map(a => (a.designator === 'CT2' ? { ...a, designator: 'TC1' } : a)),
        ),
      ),
    ).toEqual([])
    expect(
      checkSheet(
        withProcedure(
          FM,
          FM.procedure.map(s => (s.id === 'A1.10' ? { ...s, id: 'P' } : s)),
        ),
      ),
    ).toEqual([])
  })
  it('what would hang is named', () => {
    expect(leftHanging(FM, 'adjusters', 'CT2').map(r => r.name)).toContain('A1.5')
    expect(leftHanging(FM, 'procedure', 'A1.15')).toEqual([])
  })
})

describe('where a problem is put right', () => {
  it.each([
    ['step', 'A1.5', 'procedure', 'A1.5'],
    ['adjuster', 'CT2', 'adjusters', null],
    ['row', 'high-20', 'as-found', null],
    ['oscillator', 'TX', 'oscillators', null],
    ['school', 'S01', 'other', null],
    ['band', '40 m', 'set', null],
    ['sheet', null, 'set', null],
  ] as const)('%s %s: %s', (kind, name, tab, stepId) =>
    expect(problemPlace({ code: 'named-twice', at: { kind, name, row: null }, names: [] })).toEqual({
      tab,
      stepId,
    }),
  )
})
