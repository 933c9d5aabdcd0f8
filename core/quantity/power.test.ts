import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CoreError } from '../errors'
import { dbToPowerRatio, dbmToWatts, powerRatioToDb, spreadDb, wattsToDbm } from './power'

describe('power', () => {
  // Source: definition of the dBm (1 mW); the level of 4 W and 0.4 W as rule texts and data sheets quote
  // them.
  it.each([
    [0.001, 0],
    [1, 30],
    [4, 36.0206],
    [0.4, 26.0206],
    [12, 40.7918],
    [100, 50],
  ])('%d W is %d dBm', (powerW, levelDbm) => {
    expect(wattsToDbm(powerW)).toBeCloseTo(levelDbm, 4)
    expect(dbmToWatts(levelDbm)).toBeCloseTo(powerW, 4)
  })

  it('goes there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-15, max: 1e4, noNaN: true }), powerW => {
        // Rounding of log and power.
        expect(Math.abs(dbmToWatts(wattsToDbm(powerW)) / powerW - 1)).toBeLessThan(1e-12)
      }),
    )
    fc.assert(
      fc.property(fc.double({ min: -200, max: 200, noNaN: true }), db => {
        expect(Math.abs(powerRatioToDb(dbToPowerRatio(db)) - db)).toBeLessThan(1e-10)
      }),
    )
  })

  it.each([0, -1, Number.NaN, Infinity])('refuses the level of %d W', powerW => {
    expect(() => wattsToDbm(powerW)).toThrow(CoreError)
  })

  it('measures the spread over channels', () => {
    // One stage of Q 30 tuned 300 kHz high: -3.21, -1.49, -0.19 dB, hence about 3.0 dB (worked example,
    // textbook formula).
    const powersW = [-3.21, -1.49, -0.19].map(db => 4 * dbToPowerRatio(db))
    expect(spreadDb(powersW)).toBeCloseTo(3.02, 10)
    expect(spreadDb([4, 4, 4])).toBe(0)
    expect(spreadDb([0, 0])).toBe(0)
    expect(spreadDb([4, 0, 4])).toBe(Infinity)
    expect(() => spreadDb([])).toThrow(expect.objectContaining({ code: 'nothing-to-judge' }))
    expect(() => spreadDb([4, -1])).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})
