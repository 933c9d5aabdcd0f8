import type { JobEvent } from '../run'
import { kindInfo, type ModelSheet } from '../sheet'

/** A set that was on this long ago was switched off for the night. */
const FORGOTTEN_MS = 12 * 3_600_000

export interface WarmUp {
  readonly sinceMs: number
  readonly warmAtMs: number
}

/** The set's warm-up, if it was said to be switched on lately; null = cold as far as anybody said. */
export function warmUp(
  sheet: Pick<ModelSheet, 'kind'>,
  events: readonly JobEvent[],
  nowMs: number,
): WarmUp | null {
  const begun = events.findLast(e => e.kind === 'warm-up-begun')
  if (!begun || nowMs - begun.atMs > FORGOTTEN_MS) return null
  return { sinceMs: begun.atMs, warmAtMs: begun.atMs + warmMinutes(sheet) * 60_000 }
}

/**
 * When the set was switched on: by the entry "switched on", or by the minutes since power-on that stand with
 * a row, typed or read; the later entry is the truer one.
 * @returns [ms]; null = nobody said
 */
export function onSinceMs(events: readonly JobEvent[], nowMs: number): number | null {
  const last = events.findLast(e => switchedOnMs(e) !== null)
  return last && nowMs - last.atMs <= FORGOTTEN_MS ? switchedOnMs(last) : null
}

/** As far as one entry says it. */
function switchedOnMs(event: JobEvent): number | null {
  if (event.kind === 'warm-up-begun') return event.atMs
  if (event.kind !== 'row-taken') return null
  const onTimeS = event.readings.find(r => r.quantity === 'onTimeS')?.value ?? event.conditions.onTimeS
  return onTimeS === null ? null : event.atMs - onTimeS * 1000
}

export function warmMinutes(sheet: Pick<ModelSheet, 'kind'>): number {
  return kindInfo(sheet.kind).warmUpS / 60
}

/**
 * Minutes for n alike sets, one warming while another is aligned, against one after the other.
 * @param warmMin, workMin per set, work at least as long as warming
 * Source: W02: serial n (w + a), overlapped w + n a.
 * @example overlapMinutes(6, 25, 40) // => { serial: 390, overlapped: 265 }
 */
export function overlapMinutes(
  sets: number,
  warmMin: number,
  workMin: number,
): { serial: number; overlapped: number } {
  return { serial: sets * (warmMin + workMin), overlapped: warmMin + sets * workMin }
}
