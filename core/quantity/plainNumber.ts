import { withDecimalSign } from './decimalSign'

/** Spaces between thousands and around, as keyboards and other programs write them. */
const SPACES = /[\s\u2009\u202f\u00a0]/g
const PLAIN = /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d{1,3})?$/i

/**
 * A number without a unit as people type it: decimal point or comma, any minus, spaces between thousands.
 * @returns the number; null where nothing was typed; NaN where the text is no number, not even in part
 * @example typedNumber('1 250,5') // => 1250.5
 * @example typedNumber('12 V') // => NaN: what was meant is not guessed
 */
export function typedNumber(text: string): number | null {
  const plain = text.replace(SPACES, '').replace('\u2212', '-').replace(',', '.')
  if (plain === '') return null
  return PLAIN.test(plain) ? Number(plain) : Number.NaN
}

/** As `typedNumber`, where a field that holds no number is as good as an empty one. */
export function typedNumberOrNull(text: string): number | null {
  const number = typedNumber(text)
  return number === null || Number.isNaN(number) ? null : number
}

/**
 * A number as it stands in a field to be typed over: no unit, no groups, no zeros behind.
 * @param significant digits beyond which only the arithmetic of computers would show
 * @returns empty where there is none
 */
export function numberForField(value: number | null | undefined, significant = 10): string {
  if (value === null || value === undefined || !Number.isFinite(value)) return ''
  return withDecimalSign(String(Number(value.toPrecision(significant))))
}
