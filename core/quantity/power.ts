import { CoreError } from '../errors'

/** Power of 1 mW, the zero of the dBm scale [W]. */
const ONE_MILLIWATT_W = 1e-3

/**
 * @param powerW [W], > 0
 * @returns level [dBm]
 * @throws {CoreError} out-of-range (zero, negative or non-finite: no logarithm)
 * Source: dBm = 10 log10(P / 1 mW).
 * @example wattsToDbm(4) // => 36.0206
 */
export function wattsToDbm(powerW: number): number {
  if (!(powerW > 0 && powerW < Infinity)) throw new CoreError('out-of-range', `${powerW} W = ? dBm`)
  return 10 * Math.log10(powerW / ONE_MILLIWATT_W)
}

/**
 * @param levelDbm [dBm], finite
 * @returns power [W]
 * @throws {CoreError} not-a-number
 */
export function dbmToWatts(levelDbm: number): number {
  if (!Number.isFinite(levelDbm)) throw new CoreError('not-a-number', `${levelDbm} dBm`)
  return ONE_MILLIWATT_W * 10 ** (levelDbm / 10)
}

/**
 * @param ratio power ratio, > 0
 * @returns [dB]
 * @throws {CoreError} out-of-range
 */
export function powerRatioToDb(ratio: number): number {
  if (!(ratio > 0 && ratio < Infinity)) throw new CoreError('out-of-range', `P1 / P2 = ${ratio}`)
  return 10 * Math.log10(ratio)
}

/**
 * @param ratio voltage ratio across the same resistance, > 0
 * @returns [dB]
 * @throws {CoreError} out-of-range
 */
export function voltageRatioToDb(ratio: number): number {
  if (!(ratio > 0 && ratio < Infinity)) throw new CoreError('out-of-range', `U1 / U2 = ${ratio}`)
  return 20 * Math.log10(ratio)
}

/** @returns power ratio of a level difference [dB] */
export function dbToPowerRatio(levelDb: number): number {
  return 10 ** (levelDb / 10)
}

/** @returns voltage ratio across the same resistance of a level difference [dB] */
export function dbToVoltageRatio(levelDb: number): number {
  return 10 ** (levelDb / 20)
}

/**
 * Unchecked, for simulation and signals: 0 is -Infinity, less is NaN, as the logarithm has it.
 * @param ratio power ratio
 * @returns [dB]
 */
export const powerDb = (ratio: number): number => 10 * Math.log10(ratio)

/**
 * Unchecked, for simulation and signals: 0 is -Infinity, less is NaN, as the logarithm has it.
 * @param ratio voltage ratio across the same resistance
 * @returns [dB]
 */
export const voltageDb = (ratio: number): number => 20 * Math.log10(ratio)

/**
 * Spread of powers over channels: largest against smallest.
 * @param powersW [W], at least one
 * @returns [dB], 0 for equal powers, Infinity when one of them is zero (a dead band end)
 * @throws {CoreError} nothing-to-judge (no powers), out-of-range (negative or non-finite)
 */
export function spreadDb(powersW: readonly number[]): number {
  if (powersW.length === 0) throw new CoreError('nothing-to-judge', '0 × W')
  for (const powerW of powersW) {
    if (!(powerW >= 0 && powerW < Infinity)) throw new CoreError('out-of-range', `${powerW} W`)
  }
  const max = Math.max(...powersW)
  const min = Math.min(...powersW)
  if (max === 0) return 0
  return min === 0 ? Infinity : powerRatioToDb(max / min)
}
