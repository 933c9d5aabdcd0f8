import { describe, expect, it } from 'vitest'
import { boundToStandard, type Quantity, type Reading } from '../../quantity'
import { lawAdvice } from './lawAdvice'

const read = (quantity: Quantity, value: number, rest: Partial<Reading> = {}): Reading => ({
  id: 'r',
  quantity,
  value,
  standardUncertainty: boundToStandard(1),
  source: 'typed',
  instrument: null,
  ...rest,
})
const REF = { designator: 'REF', law: 'assumed-clock' } as const
const IF = { designator: 'IF', law: 'offset' } as const

describe('a menu value that is reckoned', () => {
  it('is lowered where the output lies below: the clock is slower than it is taken for', () => {
    // 41 Hz of 10 MHz are 4.1 ppm, of 25.0032 MHz 102.5 Hz.
    const advice = lawAdvice(REF, 25_003_200, read('referenceHz', 9_999_959), 10_000_000)!
    expect(advice).toMatchObject({ next: 25_003_097, by: -103 })
    expect(advice.bound).toBeCloseTo(2.5, 1)
  })
  it('leaves the output where it should be', () => {
    const clockHz = 25_003_097.49
    const output = (assumed: number) => (10_000_000 * clockHz) / assumed
    for (const assumed of [25_000_000, 25_003_200, 25_010_000]) {
      const { next } = lawAdvice(REF, assumed, read('referenceHz', output(assumed)), 10_000_000)!
      expect(Math.abs(output(next) - 10_000_000)).toBeLessThan(0.21)
    }
  })
  it('takes an offset with its sign', () =>
    expect(lawAdvice(IF, 4_915_200, read('ritOffsetHz', -75), null)).toMatchObject({
      by: -75,
      next: 4_915_125,
    }))
  it('is none of what says nothing of hertz, and none where nothing would change', () => {
    expect(lawAdvice(IF, 4_915_200, read('sinadDb', 12), null)).toBeNull()
    expect(lawAdvice(IF, 4_915_200, read('sensitivityV', 3e-7), null)).toBeNull()
    expect(lawAdvice(IF, 4_915_200, read('ritOffsetHz', 0.4), null)).toBeNull()
    expect(lawAdvice(REF, 25_003_200, read('referenceHz', 10_000_000.1), 10_000_000)).toBeNull()
  })
  it('is none without a law, by a bound, or by a frequency that nothing is wanted of', () => {
    expect(lawAdvice({ designator: 'P1' }, 5, read('powerW', 4), null)).toBeNull()
    expect(lawAdvice(REF, 5, read('referenceHz', 4, { bound: 'at-least' }), 4)).toBeNull()
    expect(lawAdvice(REF, 5, read('referenceHz', 4), null)).toBeNull()
  })
  it('says nothing of its bound where nobody knows the meter', () =>
    expect(lawAdvice(IF, 0, read('ritOffsetHz', 9, { standardUncertainty: null }), null)!.bound).toBeNull())
})
