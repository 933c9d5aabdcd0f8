import { powerRatioToDb } from '../quantity'

/** Which end of the band is weak, and by how much, so that a coil can be offset towards it. */
export interface BandBalance { readonly weakEnd: 'low' | 'high' | 'both' | 'none', readonly lowDb: number, readonly highDb: number }

/**
 * Power at the band ends relative to the middle.
 *
 * @param lowW middleW highW power at low, middle and high channel [W], > 0
 * @param spreadLimitDb differences below it do not ask for a turn [dB]
 * @throws {CoreError} out-of-range (no power at one of them)
 * Source: common practice: offset one coil towards the weak end and its neighbour towards the other.
 */
export function bandBalance(lowW: number, middleW: number, highW: number, spreadLimitDb: number): BandBalance {
  const lowDb = powerRatioToDb(lowW / middleW)
  const highDb = powerRatioToDb(highW / middleW)
  const tiltDb = highDb - lowDb
  const spread = Math.max(0, lowDb, highDb) - Math.min(0, lowDb, highDb)
  if (spread <= spreadLimitDb) return { weakEnd: 'none', lowDb, highDb }
  if (Math.abs(tiltDb) < spreadLimitDb / 2) return { weakEnd: 'both', lowDb, highDb }
  return { weakEnd: tiltDb > 0 ? 'low' : 'high', lowDb, highDb }
}
