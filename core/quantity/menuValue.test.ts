import { describe, expect, it } from 'vitest'
import { HEX_BYTE, parseMenuValue, showMenuValue, type MenuFormat } from './menuValue'

const decimal = (min: number, max: number, decimals = 0): MenuFormat => ({ radix: 10, decimals, min, max })

describe('menu values as stated on the sheet', () => {
  it.each([
    ['6Eh', HEX_BYTE, 110, '6Eh'],
    ['0x6e', HEX_BYTE, 110, '6Eh'],
    ['5', HEX_BYTE, 5, '05h'],
    ['10550', decimal(0, 20_000), 10_550, '10550'],
    ['-75', decimal(-500, 500), -75, '\u221275'],
    ['\u22124,7', decimal(-10, 10, 1), -4.7, '\u22124.7'],
    ['25003097', decimal(2.4e7, 2.6e7), 25_003_097, '25003097'],
  ] as const)('%s', (text, format, value, shown) => {
    expect(parseMenuValue(text, format)).toBe(value)
    expect(showMenuValue(value, format)).toBe(shown)
  })
  it.each([
    ['6G', HEX_BYTE],
    ['100', HEX_BYTE],
    ['-75', decimal(0, 100)],
    ['4.7', decimal(0, 100)],
    ['6Eh', decimal(0, 200)],
    ['', HEX_BYTE],
  ] as const)('"%s" is refused, in words', (text, format) => {
    expect(() => parseMenuValue(text, format)).toThrowSaying(/menu value/i)
  })
})
