import { describe, expect, it } from 'vitest'
import {
  boundToStandard,
  combineStandard,
  errorBound,
  expandedUncertainty,
  standardToBound,
} from './uncertainty'

describe('error bound', () => {
  it('of full scale is the same everywhere on the scale', () => {
    // Source: meaning of a full-scale class; 5 % of 20 W is 1 W, so half scale reads to 10 %, a tenth to 50
    // %.
    const class5 = { ofFullScale: 0.05, fullScale: 20 }
    expect([20, 10, 2].map(v => errorBound(v, class5) / v)).toEqual([0.05, 0.1, 0.5])
  })
  it('adds its parts as bounds', () => {
    expect(errorBound(10, { ofReading: 0.01, absolute: 0.005 })).toBeCloseTo(0.105, 12)
    expect(errorBound(-10, { ofReading: 0.01 })).toBeCloseTo(0.1, 12)
    expect(errorBound(5, {})).toBe(0)
  })
  it('of 0.1 ppm at 27.79125 MHz is 2.8 Hz', () => {
    expect(errorBound(27_791_250, { ofReading: 1e-7 })).toBeCloseTo(2.779, 3)
  })
  it.each([
    [{ ofFullScale: 0.05 }, 'out-of-range'],
    [{ ofFullScale: 0.05, fullScale: 0 }, 'out-of-range'],
    [{ ofReading: -0.1 }, 'out-of-range'],
  ])('refuses %j', (accuracy, code) => {
    expect(() => errorBound(1, accuracy)).toThrow(expect.objectContaining({ code }))
  })
  it('refuses a reading that is no number', () => {
    expect(() => errorBound(Number.NaN, {})).toThrow(expect.objectContaining({ code: 'not-a-number' }))
  })
})

describe('standard uncertainty', () => {
  it('of a rectangular distribution is its half width over the square root of three', () => {
    // Source: JCGM 100 (GUM) 4.3.7 (from memory). Checked against the variance integral of x^2/2a from -a to
    // a.
    const a = 0.12
    const steps = 20_000
    let variance = 0
    for (let i = 0; i < steps; i++) variance += (((i + 0.5) / steps) * 2 * a - a) ** 2 / steps
    expect(boundToStandard(a)).toBeCloseTo(Math.sqrt(variance), 7)
    expect(standardToBound(boundToStandard(a))).toBeCloseTo(a, 14)
  })
  it('of independent parts adds in squares', () => {
    expect(combineStandard([3, 4])).toBe(5)
    expect(combineStandard([])).toBe(0)
  })
})

describe('expanded uncertainty', () => {
  it('is by how the errors lie: two for noise, the square root of three for an accuracy class', () => {
    expect(expandedUncertainty({ standardUncertainty: 0.1, spread: 'normal' })).toBeCloseTo(0.2, 12)
    expect(expandedUncertainty({ standardUncertainty: 0.1 })).toBeCloseTo(0.1 * Math.sqrt(3), 12)
    expect(expandedUncertainty({ standardUncertainty: boundToStandard(0.19) })).toBeCloseTo(0.19, 12)
  })
  it('is not known where nobody knows how good the value is', () => {
    expect(expandedUncertainty({ standardUncertainty: null, spread: 'normal' })).toBeNull()
  })
})
