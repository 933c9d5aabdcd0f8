import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { beatOf } from './beat'

const RATE = 48_000
const two = (a: number, b: number, seconds = 2, noise = 0.01) => {
  const r = randomFrom(4)
  return Float64Array.from(
    { length: RATE * seconds },
    (_, n) =>
      0.3 * Math.sin((2 * Math.PI * a * n) / RATE) +
      0.2 * Math.sin((2 * Math.PI * b * n) / RATE) +
      noise * r.within(-1, 1),
  )
}

describe('zero beat', () => {
  it.each([
    [1000, 1003.2],
    [1000, 1010.05],
    [700, 1900],
    [440.3, 523.7],
  ])('of %d and %d Hz to 0.1 Hz within 2 s', (a, b) => {
    expect(Math.abs(beatOf(two(a, b), RATE)!.differenceHz - (b - a))).toBeLessThan(0.1)
  })
  it('is none with one tone and its harmonics', () => {
    const x = Float64Array.from(
      { length: 96_000 },
      (_, n) =>
        Math.sin((2 * Math.PI * 1003 * n) / RATE) +
        0.1 * Math.sin((4 * Math.PI * 1003 * n) / RATE) +
        0.03 * Math.sin((6 * Math.PI * 1003 * n) / RATE),
    )
    expect(beatOf(x, RATE)).toBeNull()
  })
  it('is none with one tone, or with noise', () => {
    expect(
      beatOf(
        Float64Array.from({ length: 96_000 }, (_, n) => Math.sin(n / 10)),
        RATE,
      ),
    ).toBeNull()
    const r = randomFrom(9)
    expect(
      beatOf(
        Float64Array.from({ length: 96_000 }, () => r.within(-1, 1)),
        RATE,
      ),
    ).toBeNull()
  })
})
