import { message } from '../message'
import { CoreError } from '../errors'
import { HEX_BYTE, parseMenuValue, showMenuValue, type MenuFormat } from './menuValue'
import { dbmToWatts } from './power'
import { dbmToVolts } from './receiverLevel'
import { quantityInfo, type Quantity } from './quantities'
import type { Bound } from './reading'

/** Units by the way they are written; they are read in any case. */
const FACTOR: Record<string, Record<string, number>> = {
  Hz: { Hz: 1, kHz: 1e3, MHz: 1e6, GHz: 1e9 },
  W: { W: 1, mW: 1e-3, kW: 1e3 },
  V: { V: 1, mV: 1e-3, uV: 1e-6, µV: 1e-6, μV: 1e-6 },
  A: { A: 1, mA: 1e-3 },
  s: { s: 1, ms: 1e-3, min: 60, h: 3600 },
  ratio: { '': 1, '%': 0.01, ': 1': 1 },
  dB: { dB: 1, dBc: 1 },
  S: { 'S-units': 1, 'S': 1 },
  code: {},
}

/** Where a sheet says nothing of its menu. */
const HEX_WORD: MenuFormat = { ...HEX_BYTE, max: 0xffff }

/**
 * Result of reading a typed entry: the value and how it was understood, in words, for the screen to repeat.
 */
export interface Typed {
  readonly value: number
  readonly understood: string
  /** undefined = a value; ">20" is a needle at its stop */
  readonly bound?: Bound
  /** half of the last digit that was typed [SI]: "10.239" MHz is known to 500 Hz; undefined = exact */
  readonly halfDigit?: number
}

/** Sign, whole part (spaces between thousands), decimals, exponent, unit. */
const NUMBER = new RegExp(
  [
    /^([+\-\u2212]?)/,
    /(\d{1,3}(?:[ \u2009\u202f]\d{3})+|\d+)?/,
    /(?:[.,](\d[\d \u2009\u202f]*))?/,
    /(?:e([+-]?\d{1,3}))?/,
    /\s*([a-zµμ%-]*)$/,
  ]
    .map(part => part.source)
    .join(''),
  'i',
)

/**
 * A reading as people type it: decimal comma or point, spaces between thousands, with or without its unit.
 *
 * @param text e.g. "27,79125", "27.79125 MHz", "3.9", "400 mW", "-113 dBm"
 * @param menu how the set writes its menu values; two bytes in hexadecimal where nothing is said
 * @param quantity decides the unit taken for granted (MHz, W, kHz, V, A, uV, s, min)
 * @returns value [SI] and what was understood
 * @throws {CoreError} not-a-number (with the text), unknown-unit, out-of-range (outside what the quantity can
 * be)
 */
export function parseTyped(text: string, quantity: Quantity, menu: MenuFormat = HEX_WORD): Typed {
  const info = quantityInfo(quantity)
  const { bound, rest: trimmed } = withoutBound(text.trim())
  const shown = trimmed.length > 40 ? `${trimmed.slice(0, 40)}…` : trimmed
  if (info.siUnit === 'code') {
    const value = parseMenuValue(trimmed, menu)
    return { value, understood: showMenuValue(value, menu), ...bound }
  }
  const match = trimmed.length <= 60 ? NUMBER.exec(trimmed) : null
  if (!match || (match[2] === undefined && match[3] === undefined)) {
    throw new CoreError(
      'not-a-number',
      message('error.notAReading', {
        shown,
        example: info.shownUnit === 'MHz' ? '27.79125' : '3.9',
        shownUnit: info.shownUnit,
      }),
    )
  }
  const [, sign, whole = '0', fraction = '', exponent = '0', unitText = ''] = match
  const digits = (s: string) => s.replace(/[^\d]/g, '')
  const minus = sign && sign !== '+' ? '-' : ''
  const number = Number(`${minus}${digits(whole)}.${digits(fraction) || '0'}e${exponent}`)
  const value = toSi(number, unitText || info.shownUnit, info.siUnit)
  if (!Number.isFinite(value))
    throw new CoreError('not-a-number', message('error.tooLargeReading', { shown }))
  checkRange(value, quantity, shown)
  const halfDigit = halfDigitOf(
    number,
    digits(fraction).length - Number(exponent),
    unitText || info.shownUnit,
    info.siUnit,
    value,
  )
  return { value, understood: `${number} ${unitText || info.shownUnit}`, ...bound, halfDigit }
}

/** What one unit of the last typed place changes, halved: on a scale in dBm that depends on the value. */
function halfDigitOf(number: number, decimals: number, unit: string, siUnit: string, value: number): number {
  return Math.abs(toSi(number + 0.5 * 10 ** -decimals, unit, siUnit) - value)
}

/** In both languages, whichever the page has: hands at a bench type what they are used to. */
const BOUND =
  /^(>|<|at least|at most|over|under|al menos|como m[ií]nimo|m[aá]s de|como m[aá]ximo|menos de)\s*/i
const AT_LEAST = /^(>|at least|over|al menos|como m[ií]nimo|m[aá]s de)/i

/** ">20" or "at least 20": beyond the stop; "<2": too low on the scale to be read. */
function withoutBound(text: string): { bound: { bound?: Bound }; rest: string } {
  const sign = BOUND.exec(text)
  if (!sign) return { bound: {}, rest: text }
  const least = AT_LEAST.test(sign[1]!)
  return { bound: { bound: least ? 'at-least' : 'at-most' }, rest: text.slice(sign[0].length) }
}

/**
 * @param value [SI]
 * @throws {CoreError} not-a-number, out-of-range, with the range in the unit that people read
 */
export function checkRange(value: number, quantity: Quantity, shown = String(value)): void {
  const info = quantityInfo(quantity)
  if (!Number.isFinite(value))
    throw new CoreError('not-a-number', message('error.notFinite', { label: { term: info.label }, shown }))
  if (value >= info.min && value <= info.max) return
  const low = info.min * info.perSi
  const high = info.max * info.perSi
  throw new CoreError(
    'out-of-range',
    message(value < 0 ? 'error.negativeOutside' : 'error.outsideRange', {
      label: { term: info.label },
      shown,
      low,
      high,
      shownUnit: info.shownUnit,
    }),
  )
}

/** For a message: what stands for no unit is none, and of three ways to write micro the plain one. */
const writtenUnits = (units: readonly string[]) => units.filter(u => u !== '' && !/^[µμ]/.test(u)).join(', ')

function toSi(number: number, unit: string, siUnit: string): number {
  const lower = unit.toLowerCase()
  if (lower === 'dbm' && siUnit === 'W') return dbmToWatts(number)
  if (lower === 'dbm' && siUnit === 'V') return dbmToVolts(number)
  if (lower === 'db' && (siUnit === 'W' || siUnit === 'V'))
    throw new CoreError('unknown-unit', message('error.decibelsAlone'))
  const units = Object.entries(FACTOR[siUnit] ?? {})
  const factor = units.find(([written]) => written.toLowerCase() === lower)?.[1]
  if (factor === undefined)
    throw new CoreError(
      'unknown-unit',
      message('error.notAUnit', { unit, list: writtenUnits(units.map(([written]) => written)) }),
    )
  // Dividing by the reciprocal keeps 0.4 kHz exactly 400 where multiplying would leave a rounding tail.
  return factor < 1 ? number / Math.round(1 / factor) : number * factor
}
