import { afterEach, describe, expect, it } from 'vitest'
import { readDecimalSignFrom } from './decimalSign'
import {
  groupDigits,
  justifiedDecimals,
  showErrorHz,
  showMeasured,
  showPlain,
  showSmallPower,
} from './format'
import { boundToStandard } from './uncertainty'

const plain = (s: string | null) => s?.replace(/[\u2009\u202f]/g, ' ').replace(/\u2212/g, '-') ?? null

afterEach(() => readDecimalSignFrom(() => '.'))

describe('digits', () => {
  it.each([
    [0.067, 2],
    [0.5, 1],
    [1.6, 0],
    [23, 0],
    [0.001, 3],
    [0, 9],
    [Number.NaN, 9],
  ])('an uncertainty of %d justifies %d decimals', (u, decimals) => {
    expect(justifiedDecimals(u)).toBe(decimals)
  })
  it('groups on both sides of the point', () => {
    expect(plain(groupDigits(27.791271, 6))).toBe('27.791 271')
    expect(plain(groupDigits(1234567.5, 1))).toBe('1 234 567.5')
    expect(plain(groupDigits(-0.04, 1))).toBe('0.0')
    expect(plain(groupDigits(-68, 0, true))).toBe('-68')
    expect(plain(groupDigits(21, 0, true))).toBe('+21')
  })
})

describe('readings on the screen', () => {
  const power = (value: number) => ({ value, standardUncertainty: boundToStandard(value * 0.03) })
  it('shows the digits that the instrument can justify', () => {
    expect(showMeasured(power(3.89963), 'powerW')).toEqual({
      value: '3.90',
      unit: 'W',
      plusMinus: '\u00b10.12 W',
    })
    expect(showMeasured(power(0.37412), 'powerW')).toMatchObject({
      value: '0.374',
      plusMinus: '\u00b10.011 W',
    })
  })
  it('shows a frequency to the hertz with a 0.1 ppm counter', () => {
    const shown = showMeasured(
      { value: 27_791_271.4, standardUncertainty: boundToStandard(2.78) },
      'carrierHz',
    )
    expect([plain(shown.value), shown.unit, plain(shown.plusMinus)]).toEqual([
      '27.791 271',
      'MHz',
      '\u00b13 Hz',
    ])
  })
  it('shows an error with its sign', () => {
    expect(plain(showErrorHz(21.3, { standardUncertainty: boundToStandard(2.78) }).value)).toBe('+21')
    expect(plain(showErrorHz(-409.62, { standardUncertainty: 0.59 }).value)).toBe('-409.6')
  })
  it('says nothing about an uncertainty that nobody knows', () => {
    expect(showMeasured({ value: 3.9, standardUncertainty: null }, 'powerW')).toEqual({
      value: '3.90',
      unit: 'W',
      plusMinus: null,
    })
  })
  it('shows limits without padding', () => {
    expect(showPlain(4, 'powerW')).toBe('4 W')
    expect(showPlain(2500, 'deviationPositiveHz')).toBe('2.5 kHz')
    expect(plain(showPlain(27_791_250, 'carrierHz'))).toBe('27.791 25 MHz')
  })
  it('has the decimal sign of whoever reads it', () => {
    readDecimalSignFrom(() => ',')
    expect(showMeasured(power(3.89963), 'powerW')).toMatchObject({ value: '3,90', plusMinus: '\u00b10,12 W' })
    expect(plain(showPlain(27_791_250, 'carrierHz'))).toBe('27,791 25 MHz')
    expect(showSmallPower(2.5e-7)).toBe('0,25 µW')
    expect(plain(showErrorHz(-409.62, { standardUncertainty: 0.59 }).value)).toBe('-409,6')
    expect(showPlain(-2.5, 'menuCode')).toBe('\u22122,5')
    expect(showMeasured(power(12_000), 'powerW').value).toBe('12\u2009000')
  })
  it('a menu value that no hexadecimal number can be is decimal', () => {
    const shown = (value: number) => plain(showPlain(value, 'menuCode'))
    expect([shown(110), shown(70_000), shown(-3)]).toEqual(['6Eh (110)', '70000', '-3'])
  })
  it('an error has its bound beside it, where one is known', () => {
    expect(showErrorHz(21.3, { standardUncertainty: boundToStandard(2.78) }).plusMinus).toBe('\u00b13 Hz')
    expect(showErrorHz(21.3, null).plusMinus).toBeNull()
  })
})
