import { describe, expect, it } from 'vitest'
import { J0_ZEROS } from './bessel'
import { gaussianFrom } from './gaussian'
import { inverse } from './inverse'
import { lineFit } from './lineFit'
import { boundaryOf, minimumOf } from './search'

describe('search', () => {
  it('finds the root of two between one and two', () => {
    expect(boundaryOf(1, 2, x => x * x < 2)).toBeCloseTo(Math.SQRT2, 12)
  })
  it('ends at an end when the condition holds everywhere or nowhere', () => {
    expect(boundaryOf(-2, 3, () => true)).toBeCloseTo(3, 12)
    expect(boundaryOf(-2, 3, () => false)).toBeCloseTo(-2, 12)
  })
  it('finds the smallest value, at an end too', () => {
    expect(minimumOf(0, 3, x => (x - 1.25) ** 2)).toBeCloseTo(1.25, 5)
    expect(minimumOf(0, 3, x => x)).toBeCloseTo(0, 5)
  })
})

describe('inverse', () => {
  // Worked by hand: the inverse of [[4, 2], [2, 3]] is [[3, -2], [-2, 4]] / 8.
  it('of a small matrix', () => {
    const [[a, b], [c, d]] = inverse([
      [4, 2],
      [2, 3],
    ]) as [[number, number], [number, number]]
    expect([a, b, c, d].map(x => Number(x.toFixed(12)))).toEqual([0.375, -0.25, -0.25, 0.5])
  })
  it('changes rows where the first is small', () => {
    const m = [
      [1e-20, 1],
      [1, 1],
    ]
    const of = inverse(m)
    expect(of[0]![0]).toBeCloseTo(-1, 10)
    expect(of[0]![1]).toBeCloseTo(1, 10)
  })
})

describe('straight line', () => {
  // Anscombe (1973), first set: 3.0001 + 0.5001 x, residual sum of squares 13.763, slope +/- 0.1179.
  it('through the first of Anscombe’s sets', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5]
    const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68]
    const fit = lineFit(x, y)
    expect(fit.at0).toBeCloseTo(3.0001, 4)
    expect(fit.slope).toBeCloseTo(0.5001, 4)
    expect(fit.residual).toBeCloseTo(13.763, 3)
    expect(fit.slopeUncertainty).toBeCloseTo(0.1179, 4)
  })
})

describe('zeros of J0', () => {
  // The power series of J0: sum of (-1)^k (x / 2)^(2 k) / (k!)^2.
  const j0 = (x: number) => {
    let [term, sum] = [1, 1]
    for (let k = 1; k < 40; k++) {
      term *= -((x / 2) ** 2) / k ** 2
      sum += term
    }
    return sum
  }
  it('are zeros of its series, and the first two', () => {
    for (const x of J0_ZEROS) expect(Math.abs(j0(x))).toBeLessThan(1e-6)
    expect([j0(1), j0(4), j0(7)].map(Math.sign)).toEqual([1, -1, 1])
  })
})

describe('Gaussian noise', () => {
  it('has no mean, unit variance, a kurtosis of three, and comes again from its seed', () => {
    const draw = gaussianFrom(5)
    const values = Array.from({ length: 50_000 }, draw)
    const moment = (n: number) => values.reduce((s, v) => s + v ** n, 0) / values.length
    expect(Math.abs(moment(1))).toBeLessThan(0.02)
    expect(moment(2)).toBeCloseTo(1, 1)
    expect(moment(4)).toBeCloseTo(3, 0)
    expect(Array.from({ length: 3 }, gaussianFrom(5))).toEqual(values.slice(0, 3))
  })
})
