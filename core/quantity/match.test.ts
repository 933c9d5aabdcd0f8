import { describe, expect, it } from 'vitest'
import { matchByPower, matchBySwr } from './match'

/** Handbook table of SWR, reflected power and mismatch loss. */
const TABLE = [
  [1, 0, 0],
  [1.5, 0.04, 0.177],
  [2, 0.1111, 0.512],
  [3, 0.25, 1.249],
  [5, 0.4444, 2.553],
] as const

describe('what comes back from a load', () => {
  it.each(TABLE)('SWR %d', (swr, ratio, lossDb) => {
    const match = matchBySwr(swr)
    expect(match.reflectedRatio).toBeCloseTo(ratio, 4)
    expect(match.lossDb).toBeCloseTo(lossDb, 3)
    expect(matchByPower(100, 100 * match.reflectedRatio).swr).toBeCloseTo(swr, 9)
  })
  it.each([
    [40, 7.9, 2.6],
    [42, 0.4, 1.2],
    [94, 0.8, 1.2],
  ])('%d W forward and %d W back', (forwardW, reflectedW, swr) =>
    expect(matchByPower(forwardW, reflectedW).swr).toBeCloseTo(swr, 1),
  )
  it('nothing back is 1, never 0; all of it is no match at all', () => {
    expect(matchByPower(50, 0)).toEqual({ swr: 1, reflectedRatio: 0, lossDb: 0 })
    expect(matchByPower(50, 50).swr).toBe(Infinity)
  })
})
