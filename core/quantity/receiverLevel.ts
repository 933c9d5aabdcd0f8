import { CoreError } from '../errors'
import { dbmToWatts, wattsToDbm } from './power'

/** Reference impedance of every RF level on this bench [ohm]. */
export const SYSTEM_OHM = 50

/**
 * @param levelDbm [dBm] into 50 ohm
 * @returns rms voltage across the load (pd, not emf) [V]
 * Source: P = V^2 / R.
 * @example dbmToVolts(-107) * 1e6 // => 0.9988 uV
 */
export function dbmToVolts(levelDbm: number): number {
  return Math.sqrt(dbmToWatts(levelDbm) * SYSTEM_OHM)
}

/**
 * @param pdV rms voltage across 50 ohm (pd) [V], > 0
 * @returns [dBm]
 * @throws {CoreError} out-of-range
 */
export function voltsToDbm(pdV: number): number {
  if (!(pdV > 0 && pdV < Infinity)) throw new CoreError('out-of-range', `${pdV} V = ? dBm`)
  return wattsToDbm(pdV ** 2 / SYSTEM_OHM)
}
