import { powerRatioToDb } from '../quantity'
import { history, type JobEvent } from '../run'
import { isFullPower, isUnmodulated, type MeasurePoint, type ModelSheet } from '../sheet'
import type { Soak } from './soak'

/** A soak is logged every five to fifteen minutes (common practice). */
export const LOG_EVERY_MS = 10 * 60_000
/** More than this lost during a soak is a fault (common practice) [dB]. */
const MAX_DROP_DB = 0.5

export interface SoakReading {
  readonly atMs: number
  readonly powerW: number | null
  readonly carrierHz: number | null
}

export interface SoakLog {
  readonly readings: readonly SoakReading[]
  /** power of the last against the first [dB]; null = fewer than two */
  readonly dropDb: number | null
  readonly driftHz: number | null
  /** the drop is more than a healthy set shows */
  readonly fades: boolean
  readonly nextDueMs: number
}

/** The row that a soak is logged with: the carrier on the middle channel of the matrix. */
export function soakPoint(sheet: ModelSheet): MeasurePoint {
  const { mode, fromChannel, toChannel, setting } = sheet.main
  const carriers = sheet.matrix.filter(
    ({ state: s, wants }) =>
      s.keyed &&
      isUnmodulated(s) &&
      isFullPower(s) &&
      s.mode === mode &&
      s.setting === setting &&
      s.coverage === 'standard' &&
      s.channel !== null &&
      s.channel >= fromChannel &&
      s.channel <= toChannel &&
      wants.some(w => w.quantity === 'powerW'),
  )
  return carriers[Math.floor((carriers.length - 1) / 2)]!
}

/** What was read while a soak ran, and what it comes to. Struck readings do not count. */
export function soakLog(sheet: ModelSheet, events: readonly JobEvent[], soak: Soak): SoakLog {
  const endMs = soak.ended?.atMs ?? Infinity
  const taken = history(sheet, events).readings.filter(
    t => t.struck === null && t.row.phase === 'soak' && t.row.atMs >= soak.begun.atMs && t.row.atMs <= endMs,
  )
  const rows = [...new Set(taken.map(t => t.row))]
  const value = (row: (typeof rows)[number], quantity: 'powerW' | 'carrierHz') =>
    taken.find(t => t.row === row && t.reading.quantity === quantity)?.reading.value ?? null
  const readings = rows.map(row => ({
    atMs: row.atMs,
    powerW: value(row, 'powerW'),
    carrierHz: value(row, 'carrierHz'),
  }))
  const powers = readings.flatMap(r => (r.powerW !== null && r.powerW > 0 ? [r.powerW] : []))
  const carriers = readings.flatMap(r => r.carrierHz ?? [])
  const dropDb = powers.length > 1 ? powerRatioToDb(powers.at(-1)! / powers[0]!) : null
  return {
    readings,
    dropDb,
    driftHz: carriers.length > 1 ? carriers.at(-1)! - carriers[0]! : null,
    fades: dropDb !== null && dropDb < -MAX_DROP_DB,
    nextDueMs: (readings.at(-1)?.atMs ?? soak.begun.atMs) + (readings.length > 0 ? LOG_EVERY_MS : 0),
  }
}
