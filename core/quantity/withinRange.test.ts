import { describe, expect, it } from 'vitest'
import { withinRange } from './withinRange'

const reading = (value: number) => ({ value, standardUncertainty: 1 })

describe('what may be stored', () => {
  it('is a value inside the range, unchanged', () => {
    expect(withinRange(reading(-62), 'harmonicDbc')).toEqual({ ok: true, reading: reading(-62) })
  })
  it.each([
    ['harmonicDbc', -155.4, -150, 'at-most'],
    ['adjacentDbc', -Infinity, -150, 'at-most'],
    ['carrierLeakDb', 131, 120, 'at-least'],
    ['imd3Db', 104, 100, 'at-least'],
  ] as const)('is a bound where %s reads %d: the noise floor', (quantity, read, value, bound) => {
    expect(withinRange(reading(read), quantity)).toEqual({ ok: true, reading: { ...reading(value), bound } })
  })
  it.each([
    ['powerW', -0.1],
    ['powerW', 5000],
    ['harmonicDbc', 25],
    ['gateV', Number.NaN],
  ] as const)('is not %s of %d', (quantity, value) => {
    expect(withinRange(reading(value), quantity)).toMatchObject({
      ok: false,
      problem: { code: expect.any(String) as string },
    })
  })
  it('says the range in the unit that people read', () => {
    expect(withinRange(reading(6), 'depthNegativeRatio')).toMatchObject({
      problem: { code: 'error.outsideRange', values: { low: 0, high: 500, shownUnit: '%' } },
    })
  })
})
