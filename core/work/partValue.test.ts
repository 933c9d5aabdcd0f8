import { describe, expect, it } from 'vitest'
import { isPreferred, partDoubts, partValueIn } from './partValue'

describe('values of parts', () => {
  it.each([
    ['4k7', 4700, 'ohm'],
    ['47k', 47_000, 'ohm'],
    ['R12: 100R', 100, 'ohm'],
    ['0.1uF', 1e-7, 'F'],
    ['5.005 uF', 5.005e-6, 'F'],
    ['2,2\u00b5H', 2.2e-6, 'H'],
    ['1M', 1e6, 'ohm'],
  ] as const)('%s is %d %s', (text, value, unit) => {
    const read = partValueIn(text)!
    expect(read.value / value).toBeCloseTo(1, 9)
    expect(read.unit).toBe(unit)
  })
  it.each(['2SC1969', 'a pair of 6146B', '', 'new coil', '12'])('"%s" names no value', text => {
    expect(partValueIn(text)).toBeNull()
  })
  it('P30: 47k where 4k7 came out; 5.005 uF is in no series; 10k for 10k is fine', () => {
    expect(partDoubts('4k7', '47k')).toEqual([{ kind: 'decade', factor: 10 }])
    expect(partDoubts('', '5.005 uF')).toEqual([{ kind: 'not-preferred', text: '5.005 uF' }])
    expect(partDoubts('10k', '10k')).toEqual([])
    expect(partDoubts('4k7', '5k6')).toEqual([])
  })
  it('knows the preferred values', () => {
    for (const text of ['4k7', '91k', '10R', '0.33uF', '820pF'])
      expect(isPreferred(partValueIn(text)!), text).toBe(true)
    for (const text of ['5k', '0.8uF']) expect(isPreferred(partValueIn(text)!), text).toBe(false)
  })
})
