import { describe, expect, it } from 'vitest'
import { boundToStandard, dbmToVolts, parseTyped, type Quantity } from '../../quantity'
import { ALONE } from '../../../test/fixtures/doubts'
import { operatingPoint, pointOf } from '../../sheet'
import { OSMUND_40A } from '../../sheet/osmund40a/sheet'
import { challenges, maxSinadDb } from './index'

function rulesOf(
  pointId: string,
  values: Partial<Record<Quantity, number>>,
  carrierW: number | null,
  boundRatio = 0,
) {
  const point = pointOf(OSMUND_40A, null, pointId)
  const readings = Object.entries(values).map(([quantity, value], i) => ({
    id: String(i),
    quantity: quantity as Quantity,
    value,
    standardUncertainty: boundToStandard(value * boundRatio),
    source: 'typed' as const,
    instrument: null,
  }))
  return challenges({
    sheet: OSMUND_40A,
    point,
    conditions: { ...operatingPoint(point.state), supplyV: 13.8, load: '', onTimeS: null },
    readings,
    askedOf: () => null,
    ...ALONE,
    carrierW,
  }).map(c => c.rule)
}

/** Worked examples of the trade table "readings that cannot be true", each with its counterpart that can. */
describe('AM readings that contradict each other', () => {
  it('a healthy tone row is not challenged: 4 W, 90 %, PEP 14.4 W, mean 5.6 W', () => {
    expect(
      rulesOf('tone-19', { depthPositiveRatio: 0.9, depthNegativeRatio: 0.9, pepW: 14.44, powerW: 5.62 }, 4),
    ).toEqual([])
  })
  it('P16: "negative 145 %"', () => {
    expect(rulesOf('tone-19', { depthNegativeRatio: 1.45 }, null)).toEqual(['P16'])
    expect(rulesOf('tone-19', { depthNegativeRatio: 1 }, null)).toEqual([])
  })
  it('P41: "0.85" typed where per cent are asked', () => {
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.0085 }, null)).toEqual(['P41'])
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.85 }, null)).toEqual([])
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.05 }, null)).toEqual([])
  })
  it('P05: 4.0 W to 7.4 W at 95 %, where 5.8 W is the most', () => {
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.95, powerW: 7.4 }, 4)).toEqual(['P05'])
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.95, powerW: 5.8 }, 4)).toEqual([])
    // Cut off at 125 % the mean passes 1.5 by nature (C02): no contradiction.
    expect(rulesOf('tone-19', { depthPositiveRatio: 1.25, powerW: 6.9 }, 4)).toEqual([])
  })
  it('P03: meter 92 %, PEP over carrier 5.2 = 128 %; and P24 with it, since 5.2 is above 4.6', () => {
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.92, pepW: 20.8 }, 4)).toEqual(['P03', 'P24'])
    expect(rulesOf('tone-19', { depthPositiveRatio: 0.92, pepW: 14.8 }, 4)).toEqual([])
  })
  it('P24: 4.2 W to 24 W called clean; meters of 30 % cannot say so', () => {
    expect(rulesOf('tone-19', { pepW: 24 }, 4.2)).toEqual(['P24'])
    expect(rulesOf('tone-19', { pepW: 24 }, 4.2, 0.3)).toEqual([])
    expect(rulesOf('tone-19', { pepW: 16.8 }, 4.2)).toEqual([])
  })
})

describe('SINAD that physics allows (C26, noise figure 0, 2.4 kHz)', () => {
  it.each([
    [-107, 33.2],
    [-113, 27.2],
    [-120, 20.2],
    [-125, 15.3],
    [-130, 10.6],
    [-135, 6.3],
    [-140, 3.1],
  ])('%d dBm: %d dB', (dbm, db) => {
    expect(Math.abs(maxSinadDb(dbmToVolts(dbm)) - db)).toBeLessThanOrEqual(0.06)
  })
  it('P01: 40 dB at 1 uV cannot be, 11 dB can', () => {
    expect(rulesOf('sinad', { sinadDb: 40 }, null)).toEqual(['P01'])
    expect(rulesOf('sinad', { sinadDb: 11 }, null)).toEqual([])
  })
})

describe('P14', () => {
  it('"-118 dB" for a level is refused, and the meant unit offered', () => {
    expect(() => parseTyped('-118 dB', 'sensitivityV')).toThrowSaying(/Meant dBm/)
    expect(parseTyped('-118 dBm', 'sensitivityV').value).toBeCloseTo(0.2815e-6, 9)
    expect(parseTyped('-31 dBc', 'adjacentDbc').value).toBe(-31)
  })
})
