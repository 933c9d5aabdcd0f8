import { describe, expect, it } from 'vitest'
import { modelSheet } from '../sheet'
import { withAdjusterTable } from './adjusterTable'

const FM = modelSheet('osmund-27f').adjusters

describe('a table of adjusters', () => {
  it('brings up to date what is there and adds what is not', () => {
    const t = withAdjusterTable(FM, [
      { Designator: 'CT2', Where: 'left' },
      { designator: 'L9', kind: 'core', name: 'trap', role: 'trap' },
      { designator: 'RV7' },
    ])
    expect([t.added, t.changed, t.problems]).toEqual([2, 1, []])
    expect(t.adjusters.find(a => a.designator === 'CT2')).toEqual({
      ...FM.find(a => a.designator === 'CT2')!,
      where: 'left',
    })
    expect(t.adjusters.slice(-2)).toMatchObject([
      { designator: 'L9', kind: 'core', role: 'trap', name: 'trap' },
      { designator: 'RV7', kind: 'preset', name: 'RV7' },
    ])
  })
  it('tells every row that it could not take, by its number in the file, and takes the rest', () => {
    const t = withAdjusterTable(
      [],
      [
        { designator: '' },
        { designator: 'A', kind: 'lever' },
        { designator: 'B', role: 'engine' },
        { designator: 'C' },
        { designator: 'C' },
        { designator: 'X'.repeat(15) },
        { designator: 'D', where: 'w'.repeat(301) },
      ],
    )
    expect(t.problems).toEqual([
      { row: 2, why: 'no-designator', value: '' },
      { row: 3, why: 'unknown-kind', value: 'lever' },
      { row: 4, why: 'unknown-role', value: 'engine' },
      { row: 6, why: 'named-twice', value: 'C' },
      { row: 7, why: 'too-long', value: 'X'.repeat(15) },
      { row: 8, why: 'too-long', value: 'where' },
    ])
    expect(t.adjusters.map(a => a.designator)).toEqual(['C'])
  })
  it('an empty cell changes nothing', () =>
    expect(withAdjusterTable(FM, [{ designator: 'CT1', where: '', caution: ' ' }]).adjusters).toEqual(FM))
})
