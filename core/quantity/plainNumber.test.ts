import { afterEach, describe, expect, it } from 'vitest'
import { readDecimalSignFrom } from './decimalSign'
import { numberForField, typedNumber, typedNumberOrNull } from './plainNumber'

afterEach(() => readDecimalSignFrom(() => '.'))

describe('a number that is typed', () => {
  it.each([
    ['3.9', 3.9],
    ['3,9', 3.9],
    [' 1 250,5 ', 1250.5],
    ['1\u2009250.5', 1250.5],
    ['\u221212,5', -12.5],
    ['+7', 7],
    [',5', 0.5],
    ['27.', 27],
    ['4e-9', 4e-9],
  ])('%s', (text, number) => expect(typedNumber(text)).toBe(number))
  it('is nothing where nothing was typed', () => {
    expect(typedNumber('')).toBeNull()
    expect(typedNumber('  ')).toBeNull()
  })
  it.each(['12 V', 'abc', '1.2.3', '1,2,3', '-', '.', '0x10', 'Infinity', '12e'])(
    'is not guessed: %s',
    text => {
      expect(typedNumber(text)).toBeNaN()
      expect(typedNumberOrNull(text)).toBeNull()
    },
  )
})

describe('a number in a field', () => {
  it('has no digits that arithmetic made', () => {
    expect(numberForField(0.1 + 0.2)).toBe('0.3')
    expect(numberForField(-4)).toBe('-4')
    expect(numberForField(null)).toBe('')
    expect(numberForField(Number.NaN)).toBe('')
  })
  it('is read back as it was, with either sign', () => {
    for (const sign of ['.', ','] as const) {
      readDecimalSignFrom(() => sign)
      for (const value of [3.85, 4e-9, -0.5, 27_185_000, 1.5e21])
        expect(typedNumber(numberForField(value))).toBe(value)
    }
  })
})
