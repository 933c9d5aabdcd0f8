import { describe, expect, it } from 'vitest'
import { pchip } from './pchip'

describe('a monotone cubic', () => {
  it('is the line where its points lie on one', () => {
    for (const x of [0, 0.25, 0.5, 1.9, 3]) expect(pchip([0, 1, 3], [5, 7, 11], x)).toBeCloseTo(5 + 2 * x, 12)
  })
  it('passes through its points and never leaves what they span', () => {
    const [xs, ys] = [
      [0, 1, 2, 3],
      [0, 0, 1, 1],
    ]
    expect(xs.map(x => pchip(xs, ys, x))).toEqual(ys)
    for (let x = 0; x <= 3; x += 0.1) {
      expect(pchip(xs, ys, x)).toBeGreaterThanOrEqual(0)
      expect(pchip(xs, ys, x)).toBeLessThanOrEqual(1)
    }
    // By symmetry about the middle of the step.
    expect(pchip(xs, ys, 1.5)).toBeCloseTo(0.5, 12)
  })
  it('is not asked beyond its ends, nor without two points that rise', () => {
    expect(() => pchip([0, 1], [0, 1], 1.1)).toThrow()
    expect(() => pchip([0], [1], 0)).toThrow()
    expect(() => pchip([0, 0], [1, 2], 0)).toThrow()
  })
})
