import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hzToPpm, ppmToHz } from './frequency'
import { dbmToVolts, voltsToDbm } from './receiverLevel'

describe('ppm', () => {
  // Source: definition of ppm, worked by hand: 1 ppm of 27.79125 MHz is 27.79125 Hz.
  it.each([
    [1, 27_791_250, 27.79125],
    [50, 27_185_000, 1359.25],
    [2, 10_240_000, 20.48],
    [-40, 10_240_000, -409.6],
  ])('%d ppm of %d Hz is %d Hz', (ppm, nominalHz, hz) => {
    expect(ppmToHz(ppm, nominalHz)).toBeCloseTo(hz, 9)
    expect(hzToPpm(hz, nominalHz)).toBeCloseTo(ppm, 9)
  })

  it('goes there and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.double({ min: 1e4, max: 1e10, noNaN: true }),
        (hz, nominalHz) => {
          expect(Math.abs(ppmToHz(hzToPpm(hz, nominalHz), nominalHz) - hz)).toBeLessThanOrEqual(
            1e-12 * Math.max(1, Math.abs(hz)) * 4,
          )
        },
      ),
    )
  })

  it.each([
    [1, 0],
    [1, -5],
    [Number.NaN, 1e6],
    [Infinity, 1e6],
  ])('refuses %d of %d', (value, nominalHz) => {
    expect(() => hzToPpm(value, nominalHz)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
    expect(() => ppmToHz(value, nominalHz)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('receiver level', () => {
  // Source: P = V^2 / 50 ohm; the table every receiver handbook prints (0 dBm = 223.6 mV, -107 dBm = about 1
  // uV).
  it.each([
    [0, 0.223607],
    [-107, 0.99881e-6],
    [-73, 50.059e-6],
    [-113, 0.50059e-6],
    [-120, 0.223607e-6],
  ])('%d dBm is %d V', (dbm, volts) => {
    expect(dbmToVolts(dbm) / volts).toBeCloseTo(1, 4)
    expect(voltsToDbm(volts)).toBeCloseTo(dbm, 3)
  })
  it('refuses a level that has no logarithm', () => {
    expect(() => voltsToDbm(0)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})
