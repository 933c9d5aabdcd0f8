import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boundToStandard, errorBound } from '../quantity'
import { acceptanceZone, coarsestUseful } from './acceptanceZone'
import { judge } from './judge'
import type { ResolvedLimit } from './ruleSet'

const both = { low: 3.6, high: 4, guardLow: true, guardHigh: true }

describe('acceptance zone', () => {
  it('of 3.6 to 4.0 W with 5 % of reading is 3.79 to 3.81 W', () => {
    // Worked by hand: 3.6 / 0.95 and 4.0 / 1.05.
    const zone = acceptanceZone(both, { ofReading: 0.05 })!
    expect(zone.low).toBeCloseTo(3.7895, 4)
    expect(zone.high).toBeCloseTo(3.8095, 4)
  })
  it('with 5 % of a 10 W scale is nothing', () => {
    expect(acceptanceZone(both, { ofFullScale: 0.05, fullScale: 10 })).toBeNull()
  })
  it('guards only the legal side', () => {
    expect(acceptanceZone({ ...both, guardLow: false }, { ofReading: 0.05 })).toEqual({
      low: 3.6,
      high: 4 / 1.05,
    })
  })
  it('stays open where there is no bound, and closes when the bound outruns the reading', () => {
    expect(acceptanceZone({ low: null, high: 4, guardLow: false, guardHigh: true }, {})).toEqual({
      low: null,
      high: 4,
    })
    expect(acceptanceZone(both, { ofReading: 1 })).toBeNull()
  })
  it('holds exactly the readings that judge accepts', () => {
    const limit = {
      low: 3.6,
      high: 4,
      kind: 'legal',
      ruleSetName: '',
      rule: { id: 'x' },
    } as unknown as ResolvedLimit
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (value, ofReading, absolute) => {
          const accuracy = { ofReading, absolute }
          const zone = acceptanceZone(both, accuracy)
          const within = zone !== null && value >= zone.low! + 1e-9 && value <= zone.high! - 1e-9
          const outside = zone === null || value < zone.low! - 1e-9 || value > zone.high! + 1e-9
          const { verdict } = judge(
            { value, standardUncertainty: boundToStandard(errorBound(value, accuracy)) },
            null,
            limit,
          )
          if (within) expect(verdict).toBe('inside')
          if (outside) expect(verdict).not.toBe('inside')
        },
      ),
    )
  })
})

describe('coarsest useful accuracy', () => {
  it('is the one at which the zone closes', () => {
    const coarsest = coarsestUseful(both)!
    expect(acceptanceZone(both, { ofReading: coarsest * 0.999 })).not.toBeNull()
    expect(acceptanceZone(both, { ofReading: coarsest * 1.001 })).toBeNull()
    expect(coarsestUseful({ ...both, guardLow: false })).toBeCloseTo(4 / 3.6 - 1, 12)
    expect(coarsestUseful({ ...both, guardHigh: false })).toBeCloseTo(1 - 3.6 / 4, 12)
  })
  it('is any where nothing is guarded or a side is open', () => {
    expect(coarsestUseful({ low: 3.6, high: 4, guardLow: false, guardHigh: false })).toBeNull()
    expect(coarsestUseful({ low: null, high: 4, guardLow: false, guardHigh: true })).toBeNull()
  })
})
