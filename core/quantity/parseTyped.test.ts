import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkRange, parseTyped } from './parseTyped'
import { QUANTITY_NAMES, quantityInfo, type Quantity } from './quantities'

describe('typed readings', () => {
  it.each<[string, Quantity, number]>([
    ['27,79125', 'carrierHz', 27_791_250],
    ['27.79125 MHz', 'carrierHz', 27_791_250],
    ['27.79125MHz', 'carrierHz', 27_791_250],
    ['27.791 271', 'carrierHz', 27_791_271],
    ['27 791 250 Hz', 'carrierHz', 27_791_250],
    ['27791.25 kHz', 'carrierHz', 27_791_250],
    ['10.24', 'referenceHz', 10_240_000],
    ['3.9', 'powerW', 3.9],
    ['3,9 W', 'powerW', 3.9],
    ['400 mW', 'powerW', 0.4],
    ['.4', 'powerW', 0.4],
    ['36.0206 dBm', 'powerW', 4.0],
    ['+4', 'powerW', 4],
    ['2.4', 'deviationPositiveHz', 2400],
    ['2400 Hz', 'deviationPositiveHz', 2400],
    ['0.35', 'sensitivityV', 0.35e-6],
    ['-116 dBm', 'sensitivityV', 0.3544e-6],
    ['13,8', 'supplyV', 13.8],
    ['912 mA', 'supplyA', 0.912],
    ['0.2', 'lockS', 0.2],
    ['25', 'onTimeS', 1500],
    ['1 h', 'onTimeS', 3600],
    ['4e0', 'powerW', 4],
  ])('understands "%s" as %s', (text, quantity, value) => {
    expect(parseTyped(text, quantity).value / value).toBeCloseTo(1, 4)
  })

  it.each(QUANTITY_NAMES)('takes %s without a unit, in that of the bench', quantity => {
    const { min, max, perSi } = quantityInfo(quantity)
    const shown = Math.max(1, min * perSi)
    expect(shown).toBeLessThanOrEqual(max * perSi)
    expect(parseTyped(String(shown), quantity).value * perSi).toBeCloseTo(shown, 9)
  })

  it('keeps a typed decimal exact', () => {
    expect(parseTyped('27.79125', 'carrierHz').value).toBe(27_791_250)
    expect(parseTyped('0.4', 'powerW').value).toBe(0.4)
    expect(parseTyped('2.38', 'deviationPositiveHz').value).toBe(2380)
  })

  it.each<[string, Quantity, string]>([
    ['', 'powerW', 'not-a-number'],
    ['abc', 'powerW', 'not-a-number'],
    ['NaN', 'powerW', 'not-a-number'],
    ['1.2.3', 'powerW', 'not-a-number'],
    ['1e400', 'powerW', 'not-a-number'],
    ['27,791,250', 'carrierHz', 'not-a-number'],
    ['\u{1F4FB}', 'powerW', 'not-a-number'],
    ['-', 'powerW', 'not-a-number'],
    ['1'.repeat(61), 'powerW', 'not-a-number'],
    ['3.9 V', 'powerW', 'unknown-unit'],
    ['12 furlong', 'carrierHz', 'unknown-unit'],
    ['-2', 'powerW', 'out-of-range'],
    ['99999', 'powerW', 'out-of-range'],
    ['27 Hz', 'carrierHz', 'out-of-range'],
  ])('refuses "%s" in words', (text, quantity, code) => {
    expect(() => parseTyped(text, quantity)).toThrow(
      expect.objectContaining({ code, message: expect.stringMatching(/\S+ \S+/) }),
    )
  })

  it('takes a needle at its stop as a bound, and menu values as the set shows them', () => {
    expect(parseTyped('>20', 'powerW')).toMatchObject({ value: 20, bound: 'at-least' })
    expect(parseTyped('at least 20 W', 'powerW')).toMatchObject({ value: 20, bound: 'at-least' })
    expect(parseTyped('más de 20 W', 'powerW')).toMatchObject({ value: 20, bound: 'at-least' })
    expect(parseTyped('como máximo 2', 'powerW')).toMatchObject({ value: 2, bound: 'at-most' })
    expect(parseTyped('< 0,4', 'powerW')).toMatchObject({ value: 0.4, bound: 'at-most' })
    expect(parseTyped('3.9', 'powerW')).not.toHaveProperty('bound')
    expect([
      parseTyped('6E', 'menuCode').value,
      parseTyped('6Eh', 'menuCode').value,
      parseTyped('0x6e', 'menuCode').value,
    ]).toEqual([110, 110, 110])
    expect(() => parseTyped('-4.7', 'menuCode')).toThrowSaying(/not a menu value/)
    expect(() => parseTyped('0', 'swr')).toThrowSaying(/outside 1 to 100/)
  })
  it('says why a negative power cannot be', () => {
    expect(() => parseTyped('-2', 'powerW')).toThrowSaying(
      /Power, average.*"-2".*outside 0 to 2000 W.*negative/,
    )
  })

  it('never returns anything but a finite number in range', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), text => {
        let value: number
        try {
          value = parseTyped(text, 'powerW').value
        } catch {
          return
        }
        expect(() => checkRange(value, 'powerW')).not.toThrow()
      }),
      { numRuns: 500 },
    )
  })

  it('reads back every power it could have written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2_000_000 }), milliwatts => {
        expect(parseTyped((milliwatts / 1000).toString(), 'powerW').value).toBe(milliwatts / 1000)
        expect(parseTyped((milliwatts / 1000).toString().replace('.', ','), 'powerW').value).toBe(
          milliwatts / 1000,
        )
      }),
    )
  })
})

describe('a digit that was not typed', () => {
  it.each([
    ['10.239', 'referenceHz', 500],
    ['10.239780', 'referenceHz', 0.5],
    ['27,18500 MHz', 'carrierHz', 5],
    ['3.9', 'powerW', 0.05],
    ['400 mW', 'powerW', 5e-4],
    ['4', 'powerW', 0.5],
    ['95', 'depthNegativeRatio', 0.005],
  ] as const)('%s: half of the last place', (text, quantity, half) => {
    expect(parseTyped(text, quantity).halfDigit).toBeCloseTo(half, 6)
  })
  it('of a level in dBm depends on the level', () =>
    expect(
      parseTyped('-113 dBm', 'sensitivityV').halfDigit! / parseTyped('-113 dBm', 'sensitivityV').value,
    ).toBeCloseTo(10 ** (0.5 / 20) - 1, 9))
})
