import { describe, expect, it } from 'vitest'
import { modelSheet } from '#core/sheet'
import { importAdjusterTable } from './adjusterTable'

const before = modelSheet('osmund-40a').adjusters

describe('A table of adjusters', () => {
  it('adds and updates by designator', () => {
    const { designator, kind, role } = before[0]!
    const table = `designator,kind,role,value\n${designator},${kind},${role},5k\nVR99,${kind},${role},10k`
    const { adjusters, words, isWhole } = importAdjusterTable(table, before)
    expect(isWhole, words).toBe(true)
    expect(adjusters).toHaveLength(before.length + 1)
    expect(words).toBe('1 added, 1 updated.')
  })

  it('names at most three rows that were left out, and why', () => {
    const rows = ['VR1', 'VR2', 'VR3', 'VR4'].map(d => `${d},spanner,carrier-power`).join('\n')
    const { adjusters, words, isWhole } = importAdjusterTable(`designator,kind,role\n${rows}`, before)
    expect([adjusters, isWhole]).toEqual([null, false])
    expect(words.match(/spanner/g)).toHaveLength(3)
  })

  it('without rows changes nothing and says so', () => {
    const { adjusters, isWhole } = importAdjusterTable('designator,kind\n', before)
    expect([adjusters, isWhole]).toEqual([null, false])
  })
})
