import { describe, expect, it } from 'vitest'
import { modelSheet, stepOf } from '../../sheet'
import { stepRow, struck, turned } from '../../../test/fixtures/jobEvents'
import { history } from '../history'
import { bandRounds } from './bandRounds'

const FM = modelSheet('osmund-27f')
const rounds = (...events: Parameters<typeof history>[1][number][]) =>
  bandRounds(FM, stepOf(FM, 'A1.9'), history(FM, events))!
const row = (channel: number, powerW: number) => stepRow('A1.9', `ch${channel}`, { powerW })

describe('rounds over the band', () => {
  it('are whole when all three rows are there, a row taken again belonging to the same round', () => {
    const { passes, halfBand } = rounds(row(1, 2), row(1, 2.5), row(20, 4), row(40, 4), row(1, 3), row(20, 4))
    expect(passes).toHaveLength(1)
    expect(passes[0]!.lowDb).toBeCloseTo(10 * Math.log10(2.5 / 4), 9)
    expect(halfBand).toBeCloseTo(0.195 / 27.79125, 6)
  })
  it('a struck reading is of no round; a dead end makes none', () => {
    const first = row(1, 2)
    const id = first.kind === 'row-taken' ? first.readings[0]!.id : ''
    expect(rounds(first, struck(id, 'wrong'), row(20, 4), row(40, 4)).passes).toEqual([])
    expect(rounds(row(1, 0), row(20, 4), row(40, 4)).passes).toEqual([])
  })
  it('a coil turned in the middle of a round begins it anew', () => {
    expect(rounds(row(1, 2), row(20, 4), turned('L5'), row(40, 4)).passes).toEqual([])
    expect(rounds(row(1, 2), turned('L5'), row(1, 3), row(20, 4), row(40, 4)).passes).toHaveLength(1)
  })
  it('other steps have none', () => expect(bandRounds(FM, stepOf(FM, 'A1.5'), history(FM, []))).toBeNull())
})
