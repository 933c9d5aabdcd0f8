import { ref, type Ref } from 'vue'
import { v4 as uuid } from 'uuid'
import type { Bound, Quantity, Reading } from '../../core/quantity'
import type { Phase, RowTaken } from '../../core/run'
import { pointOf, type MeasurePoint, type ModelSheet } from '../../core/sheet'
import { showPlain } from '../../core/quantity'
import { liveReadings, missingRf, otherChannel, rowConditions, rowTaken, type LiveOf } from '../logic/takeRow'
import { doubtsOf, type DoubtContext } from '../logic/doubts'
import { typedReading, type TypedInstrument } from '../logic/typedInstrument'

export interface TypedEntry { readonly quantity: Quantity, readonly value: number, readonly bound?: Bound | undefined, readonly instrument: TypedInstrument | null }

/** What a screen that takes rows needs from the stores. */
export interface RowTakingParts {
  readonly sheet: () => ModelSheet
  readonly phase: Phase
  /** what a row is held against at once: the rest of the matrix, scales of the meters */
  readonly doubting: () => DoubtContext
  readonly liveOf: LiveOf
  readonly append: (event: Omit<RowTaken, 'id' | 'atMs'>) => Promise<void>
  readonly say: (text: string, kind?: 'ok' | 'problem') => void
}

/** Taking rows from instruments and by typing, alike in the matrix and in the run. */
export function useRowTaking(parts: RowTakingParts) {
  const typing: Ref<{ pointId: string, first: string } | null> = ref(null)
  let busy = false
  /** the point at which the wrong channel was pointed out; a second press takes it all the same */
  let warnedAt: string | null = null

  /**
   * @param typed what stands beside the live readings of the row, e.g. the menu value they were taken with
   * @returns whether something was kept
   */
  async function take(stepId: string | null, pointId: string, typed: readonly TypedEntry[] = []): Promise<boolean> {
    const point = pointOf(parts.sheet(), stepId, pointId)
    if (missingRf(point, parts.liveOf)) {
      parts.say('The power meter shows no RF: key the set first, then take the row.', 'problem')
      return false
    }
    const elsewhere = otherChannel(parts.sheet(), point, parts.liveOf)
    if (elsewhere && warnedAt !== pointId) {
      warnedAt = pointId
      parts.say(`The counter reads ${showPlain(elsewhere.frequencyHz, 'carrierHz')}, channel ${elsewhere.channel}; this row is channel ${point.state.channel}. Press again to take it all the same.`, 'problem')
      return false
    }
    warnedAt = null
    const live = liveReadings(point, parts.liveOf, uuid)
    const readings = [...live, ...typed.filter(t => !live.some(r => r.quantity === t.quantity)).map(typedReadingOf)]
    if (live.length === 0) {
      parts.say('No connected instrument reads this now. Type it.', 'problem')
      typing.value = { pointId, first: '' }
      return false
    }
    if (!(await store(stepId, point, readings))) return false
    const missing = point.wants.length - readings.length
    sayKept(point, readings, missing === 0 ? 'taken' : `${readings.length} taken, ${missing} still to be typed`, missing > 0)
    return true
  }

  async function takeTyped(stepId: string | null, pointId: string, entries: readonly TypedEntry[]): Promise<boolean> {
    const point = pointOf(parts.sheet(), stepId, pointId)
    const readings = entries.map(typedReadingOf)
    const row = typing.value
    if (!(await store(stepId, point, readings))) return false
    if (typing.value === row) typing.value = null
    sayKept(point, readings, 'taken as typed', false)
    return true
  }

  function typedReadingOf(e: TypedEntry): Reading {
    return { id: uuid(), quantity: e.quantity, ...typedReading(e.value, e.quantity, e.instrument), source: 'typed', instrument: e.instrument?.name ?? null, ...(e.bound ? { bound: e.bound } : {}) }
  }

  /** A reading that cannot be true is challenged at once, and kept: the technician decides. */
  function sayKept(point: MeasurePoint, readings: readonly Reading[], what: string, partly: boolean) {
    const doubts = doubtsOf(parts.doubting(), point, rowConditions(parts.sheet(), point, parts.liveOf), readings).map(d => d.words)
    parts.say([`${point.title}: ${what}.`, ...doubts].join(' '), partly || doubts.length > 0 ? 'problem' : 'ok')
  }

  async function store(stepId: string | null, point: MeasurePoint, readings: Reading[]): Promise<boolean> {
    if (busy) return false
    busy = true
    try {
      const seen = rowConditions(parts.sheet(), point, parts.liveOf)
      // What was typed in this row describes it better than what happens to be live.
      const valueOf = (q: Quantity) => readings.find(r => r.quantity === q)?.value
      const conditions = { ...seen, supplyV: valueOf('supplyV') ?? seen.supplyV, onTimeS: valueOf('onTimeS') ?? seen.onTimeS }
      const { id: _id, atMs: _at, ...event } = rowTaken(parts.phase, stepId, point, conditions, readings, '', 0)
      await parts.append(event)
      return true
    }
    catch (error) {
      parts.say(`Not kept: this browser cannot store it (${error instanceof Error ? error.message : String(error)}). Write it down.`, 'problem')
      return false
    }
    finally {
      busy = false
    }
  }

  return { typing, take, takeTyped }
}
