import { t } from '#shared/i18n'
import {
  groupDigits,
  hzToPpm,
  powerRatioToDb,
  quantityInfo,
  voltageRatioToDb,
  type Quantity,
} from '#core/quantity'

/** Quantities whose ratios are told in dB beside the difference: powers, and levels at the antenna socket. */
const DB_OF: Partial<Record<Quantity, (ratio: number) => number>> = {
  powerW: powerRatioToDb,
  pepW: powerRatioToDb,
  panelPowerW: powerRatioToDb,
  sensitivityV: voltageRatioToDb,
  audibleV: voltageRatioToDb,
}

/**
 * How far a reading lies beyond a bound, in the unit of the bench and in the one that compares: dB, ppm,
 * points.
 * @param value, beyond in SI
 * @param nominalHz of a frequency error; null = the value itself
 * @example distanceWords(4.62, 4, 'powerW', null) // => '0.62 W, 0.6 dB'
 */
export function distanceWords(
  value: number,
  beyond: number,
  quantity: Quantity,
  nominalHz: number | null,
): string {
  const difference = Math.abs(value - beyond)
  if (nominalHz !== null) return `${shown(difference)}\u2009Hz, ${shown(hzToPpm(difference, nominalHz))} ppm`
  const { perSi, shownUnit } = quantityInfo(quantity)
  if (shownUnit === 'dBc') return `${shown(difference)} dB`
  if (shownUnit === '%') return t('verdict.points', { difference: shown(difference * 100) })
  const plain = `${shown(difference * perSi)}\u2009${shownUnit}`
  const toDb = DB_OF[quantity]
  if (!toDb || !(value > 0) || !(beyond > 0)) return plain
  return `${plain}, ${shown(Math.abs(toDb(value / beyond)))} dB`
}

/** Two figures that mean something. */
function shown(value: number): string {
  if (value === 0) return '0'
  const decimals = Math.min(3, Math.max(0, 1 - Math.floor(Math.log10(value))))
  return groupDigits(value, decimals)
}
