import { messageWords } from '#shared/words/messageWords'
import { withinRange, type Quantity, type Reading } from '#core/quantity'
import type { Phase, RowConditions, RowTaken } from '#core/run'
import { channelHz, nearestChannel, planOf } from '#core/rules'
import { operatingPoint, type MeasurePoint, type ModelSheet } from '#core/sheet'
import type { LiveEntry } from '~/features/instruments/logic/liveBook'

/** Live entry of a quantity, or null when there is nothing live to take. */
export type LiveOf = (quantity: Quantity) => LiveEntry | null
export type NewId = () => string

/**
 * A carrier further than this from the row's channel belongs to another channel, or the set is not locked
 * [Hz].
 */
const SURELY_ELSEWHERE_HZ = 5000

/** The channel that the counter really sees, when it is not the one that the row asks for. */
export function otherChannel(
  sheet: ModelSheet,
  point: MeasurePoint,
  live: LiveOf,
): { channel: number; frequencyHz: number } | null {
  const carrier = live('carrierHz')
  if (!point.state.keyed || point.state.channel === null || carrier?.value == null) return null
  if (Math.abs(carrier.value - channelHz(planOf(sheet), point.state.channel)) < SURELY_ELSEWHERE_HZ)
    return null
  return { channel: nearestChannel(planOf(sheet), carrier.value).channel, frequencyHz: carrier.value }
}

/** What of a row may be kept, and why the rest may not. */
export interface CheckedReadings {
  readonly readings: readonly Reading[]
  readonly problems: readonly string[]
}

/** The readings of a point that the instruments can give now; the others are left for typing. */
export function liveReadings({ wants }: Pick<MeasurePoint, 'wants'>, live: LiveOf, newId: NewId): Reading[] {
  return wants.flatMap(({ quantity }) => {
    const entry = live(quantity)
    if (!entry || entry.status !== 'ok' || entry.value === null) return []
    const { value, standardUncertainty, instrument } = entry
    return [{ id: newId(), quantity, value, standardUncertainty, source: 'instrument' as const, instrument }]
  })
}

/** A value outside of what can be stored is left out alone: the rest of its row is kept. */
export function checkedReadings(readings: readonly Reading[]): CheckedReadings {
  const checks = readings.map(r => withinRange(r, r.quantity))
  return {
    readings: checks.flatMap(c => (c.ok ? [c.reading] : [])),
    problems: checks.flatMap(c => (c.ok ? [] : [messageWords(c.problem)])),
  }
}

/** What stands while the row is taken: from the sheet what was asked, from the instruments what is. */
export function rowConditions(sheet: ModelSheet, point: MeasurePoint, live: LiveOf): RowConditions {
  return {
    ...operatingPoint(point.state),
    load: sheet.load,
    supplyV: live('supplyV')?.value ?? null,
    onTimeS: live('onTimeS')?.value ?? null,
  }
}

export function rowTaken(
  phase: Phase,
  stepId: string | null,
  point: MeasurePoint,
  conditions: RowConditions,
  readings: readonly Reading[],
  id: string,
  atMs: number,
): RowTaken {
  return { kind: 'row-taken', id, atMs, phase, stepId, pointId: point.id, conditions, readings }
}
