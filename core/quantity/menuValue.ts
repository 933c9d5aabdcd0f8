import { withDecimalSign } from './decimalSign'
import { message } from '../message'
import { CoreError } from '../errors'

/** How a set writes the values of its menu. */
export interface MenuFormat {
  readonly radix: 10 | 16
  /** digits after the point, decimal only */
  readonly decimals: number
  readonly min: number
  readonly max: number
}

/** One byte in hexadecimal: what is meant where a sheet says nothing (common practice for such sets). */
export const HEX_BYTE: MenuFormat = { radix: 16, decimals: 0, min: 0, max: 255 }

const HEXADECIMAL = /^(?:0x)?([0-9a-f]{1,4})h?$/i
const DECIMAL = /^([+\-\u2212]?)(\d{1,9})(?:[.,](\d{1,4}))?$/

/**
 * A menu value as the set shows it: 6E, 0x6E or 6Eh; 10550, -75, -4.7.
 * @throws {CoreError} not-a-number, out-of-range, with how it is written and the range of the entry
 */
export function parseMenuValue(text: string, format: MenuFormat): number {
  const value = format.radix === 16 ? hexadecimal(text.trim()) : decimal(text.trim(), format.decimals)
  if (value === null) {
    const example =
      format.radix === 16
        ? '6E or 6Eh'
        : showMenuValue(Math.max(format.min, Math.min(format.max, 75)), format)
    throw new CoreError('not-a-number', message('error.notAMenuValue', { text: text.slice(0, 40), example }))
  }
  if (value < format.min || value > format.max) {
    throw new CoreError(
      'out-of-range',
      message('error.menuValueOutside', {
        text: text.slice(0, 40),
        min: showMenuValue(format.min, format),
        max: showMenuValue(format.max, format),
      }),
    )
  }
  return value
}

function hexadecimal(text: string): number | null {
  const match = HEXADECIMAL.exec(text)
  return match ? Number.parseInt(match[1]!, 16) : null
}

function decimal(text: string, decimals: number): number | null {
  const match = DECIMAL.exec(text)
  if (!match || (match[3]?.length ?? 0) > decimals) return null
  return Number(`${match[1] && match[1] !== '+' ? '-' : ''}${match[2]}.${match[3] ?? '0'}`)
}

/** @example showMenuValue(110, HEX_BYTE) // => '6Eh' */
export function showMenuValue(value: number, { radix, decimals }: MenuFormat): string {
  if (radix === 16) return `${Math.round(value).toString(16).toUpperCase().padStart(2, '0')}h`
  return withDecimalSign(value.toFixed(decimals)).replace('-', '\u2212')
}
