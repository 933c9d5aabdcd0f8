import { describe, expect, it } from 'vitest'
import { matchRead } from './antennaMatch'

const read = (forwardW: number | null, reflectedW: number | null, swr: number | null = null) =>
  matchRead({ forwardW, reflectedW, swr, meterAt: 'set-side' })

describe('what was read at the antenna', () => {
  it('comes to an SWR by its powers, else by the scale', () => {
    expect(read(40, 7.9)).toMatchObject({ swr: expect.closeTo(2.6, 1), isHigh: true, contradicts: false })
    expect(read(44, null, 1.3)).toMatchObject({
      swr: 1.3,
      reflectedRatio: expect.closeTo(0.017, 3),
      isHigh: false,
    })
  })
  it('comes to nothing by one power, or by a forward power of nothing', () => {
    expect(read(40, null)).toBeNull()
    expect(read(null, 2)).toBeNull()
    expect(read(0, 0)).toBeNull()
    expect(read(0, 0, 1.5)).toMatchObject({ swr: 1.5 })
  })
  it('contradicts itself where the scale says something else', () => {
    expect(read(40, 7.9, 2.5)!.contradicts).toBe(false)
    expect(read(40, 7.9, 1.2)!.contradicts).toBe(true)
    expect(read(40, 40, 3)!.contradicts).toBe(true)
  })
})
