import { decimalSign, withDecimalSign } from './decimalSign'
import { expandedUncertainty } from './uncertainty'
import { HEX_BYTE, showMenuValue, type MenuFormat } from './menuValue'
import { quantityInfo, type Quantity } from './quantities'
import type { Bound, Measured } from './reading'

const THIN_SPACE = '\u2009'
const MINUS = '\u2212'
/** Digits after the point when nobody knows the uncertainty: as many as a bench of this kind can mean. */
const DECIMALS_UNKNOWN: Record<string, number> = {
  'MHz': 6,
  'kHz': 2,
  'W': 2,
  'V': 2,
  'A': 2,
  's': 1,
  'min': 0,
  'µV': 2,
  '%': 0,
  'dB': 1,
  'dBc': 1,
  'S': 1,
  'mA': 0,
  ': 1': 2,
}

/** Digits beyond these mean nothing at a bench, however good the instrument. */
const MAX_DECIMALS: Record<string, number> = {
  'MHz': 7,
  'kHz': 3,
  'W': 3,
  'V': 2,
  'A': 3,
  's': 2,
  'min': 1,
  'µV': 3,
  '%': 1,
  'dB': 1,
  'dBc': 1,
  'S': 1,
  'mA': 1,
  ': 1': 2,
}

/** A needle at its stop: the value is at least this. */
export const BOUND_SIGNS: Record<Bound, string> = {
  'at-least': `>${THIN_SPACE}`,
  'at-most': `<${THIN_SPACE}`,
}

/**
 * A menu value where nobody says how the set writes it: both ways, or decimal where it can be no hexadecimal
 * number.
 */
function anyMenuValue(value: number): string {
  if (!Number.isInteger(value) || value < 0 || value > 0xffff)
    return withDecimalSign(String(value)).replace('-', MINUS)
  return `${showMenuValue(value, HEX_BYTE)} (${value})`
}

/** A number ready for the screen, without and with its uncertainty. */
export interface FormattedValue {
  readonly value: string
  readonly unit: string
  readonly plusMinus: string | null
}

/**
 * Decimals that an uncertainty justifies: down to the place of the first digit of the standard uncertainty.
 * @param standardUncertainty in the unit shown, >= 0
 * @returns digits after the decimal point, 0..9
 * @example justifiedDecimals(0.067) // => 2, so that 3.8996 W is shown as 3.90 W
 */
export function justifiedDecimals(standardUncertainty: number): number {
  if (!(standardUncertainty > 0)) return 9
  return Math.min(9, Math.max(0, -Math.floor(Math.log10(standardUncertainty) + 1e-12)))
}

/** A number with a real minus sign and thin spaces between groups of three, on both sides of the point. */
export function groupDigits(value: number, decimals: number, plus = false): string {
  const fixed = Math.abs(value).toFixed(decimals)
  const [whole = '0', fraction] = fixed.split('.')
  const left = whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE)
  const right = fraction ? `${decimalSign()}${fraction.replace(/(\d{3})(?=\d)/g, `$1${THIN_SPACE}`)}` : ''
  const negative = value < 0 && Number(fixed) !== 0
  const positive = plus && Number(fixed) !== 0 ? '+' : ''
  return `${negative ? MINUS : positive}${left}${right}`
}

/**
 * Digits behind the point that a value of a quantity is shown with, in the unit of the bench.
 * @param standardUncertainty [SI]; null = unknown
 */
export function shownDecimals(standardUncertainty: number | null, quantity: Quantity): number {
  const { shownUnit, perSi } = quantityInfo(quantity)
  return standardUncertainty === null
    ? (DECIMALS_UNKNOWN[shownUnit] ?? 2)
    : Math.min(justifiedDecimals(standardUncertainty * perSi), MAX_DECIMALS[shownUnit] ?? 3)
}

/**
 * A measured value in the unit of the bench with the digits that its uncertainty justifies.
 * @param measured value and standard uncertainty [SI]
 * @param menu how the set writes its menu values
 * @returns value, unit and the bound U that verdicts use (null when unknown)
 */
export function showMeasured(measured: Measured, quantity: Quantity, menu?: MenuFormat): FormattedValue {
  const info = quantityInfo(quantity)
  if (info.siUnit === 'code')
    return {
      value: menu ? showMenuValue(measured.value, menu) : anyMenuValue(measured.value),
      unit: '',
      plusMinus: null,
    }
  const u = measured.standardUncertainty
  const expanded = expandedUncertainty(measured)
  const decimals = shownDecimals(u, quantity)
  return {
    value: `${measured.bound ? BOUND_SIGNS[measured.bound] : ''}${groupDigits(measured.value * info.perSi, decimals)}`,
    unit: info.shownUnit,
    plusMinus: expanded === null ? null : showBound(expanded, info.shownUnit, info.perSi),
  }
}

/** An error against a nominal: signed, always in Hz (the unit in which it is corrected). */
export function showErrorHz(
  errorHz: number,
  of: Pick<Measured, 'standardUncertainty' | 'spread'> | null,
): FormattedValue {
  const standardUncertainty = of?.standardUncertainty ?? null
  const expanded = of && expandedUncertainty(of)
  const decimals = standardUncertainty === null ? 0 : Math.min(1, justifiedDecimals(standardUncertainty))
  return {
    value: groupDigits(errorHz, decimals, true),
    unit: 'Hz',
    plusMinus: expanded === null ? null : showBound(expanded, 'Hz', 1),
  }
}

/**
 * A bound with one significant digit, two when it starts with 1; frequencies in MHz show theirs in Hz; null
 * when it is below what the bench shows.
 */
function showBound(bound: number, shownUnit: string, perSi: number): string | null {
  const inHz = shownUnit === 'MHz'
  const shown = inHz ? bound : bound * perSi
  const most = inHz ? 1 : (MAX_DECIMALS[shownUnit] ?? 3)
  if (Number(shown.toFixed(most)) === 0) return null
  const exponent = Math.floor(Math.log10(shown))
  const leadsWithOne = shown / 10 ** exponent < 2
  const decimals = Math.min(most, Math.max(0, -exponent + (leadsWithOne ? 1 : 0)))
  return `\u00b1${groupDigits(shown, decimals)} ${inHz ? 'Hz' : shownUnit}`
}

/**
 * A plain SI number in the bench unit of a quantity, for targets and limits: no uncertainty, trailing zeros
 * cut.
 */
export function showPlain(value: number, quantity: Quantity): string {
  const info = quantityInfo(quantity)
  if (info.siUnit === 'code') return anyMenuValue(value)
  const shown = value * info.perSi
  const decimals = info.shownUnit === 'MHz' ? 6 : 3
  const rounded = Number(shown.toFixed(decimals))
  const needed = (String(rounded).split('.')[1] ?? '').length
  return `${groupDigits(rounded, Math.min(decimals, needed))} ${info.shownUnit}`
}

/** Units of small powers, each up to the power from which the next is used [W]. */
const POWER_UNITS = [
  { belowW: 1e-7, perSi: 1e9, unit: 'nW' },
  { belowW: 1e-3, perSi: 1e6, unit: '\u00b5W' },
  { belowW: 1, perSi: 1e3, unit: 'mW' },
  { belowW: Infinity, perSi: 1, unit: 'W' },
] as const

/** A limit in watts as rule sets write it: 4 nW, 0.25 µW, 20 µW. [W] */
export function showSmallPower(powerW: number): string {
  const { perSi, unit } = POWER_UNITS.find(u => powerW < u.belowW) ?? POWER_UNITS[3]
  return `${withDecimalSign(String(Number((powerW * perSi).toPrecision(6))))} ${unit}`
}
