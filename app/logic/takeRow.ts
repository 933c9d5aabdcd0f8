import type { Quantity, Reading } from '../../core/quantity'
import type { Phase, RowConditions, RowTaken } from '../../core/run'
import { channelHz, nearestChannel } from '../../core/rules'
import { conditionsAsked, type MeasurePoint, type ModelSheet } from '../../core/sheet'
import type { LiveEntry } from './liveBook'

/** Live entry of a quantity, or null when there is nothing live to take. */
export type LiveOf = (quantity: Quantity) => LiveEntry | null
export type NewId = () => string

/** Whether a point that needs RF is being read without any: the commonest way to take nonsense. */
export function missingRf(point: MeasurePoint, live: LiveOf): boolean {
  const power = live('powerW')
  return point.state.keyed && power !== null && power.status === 'ok' && (power.value ?? 0) < 0.02
}

/** A carrier further than this from the row's channel belongs to another channel, or the set is not locked [Hz]. */
const SURELY_ELSEWHERE_HZ = 5000

/** The channel that the counter really sees, when it is not the one that the row asks for. */
export function otherChannel(sheet: ModelSheet, point: MeasurePoint, live: LiveOf): { channel: number, frequencyHz: number } | null {
  const carrier = live('carrierHz')
  if (!point.state.keyed || point.state.channel === null || carrier?.value == null) return null
  if (Math.abs(carrier.value - channelHz(sheet.planId, point.state.channel)) < SURELY_ELSEWHERE_HZ) return null
  return { channel: nearestChannel(sheet.planId, carrier.value).channel, frequencyHz: carrier.value }
}

/** The readings of a point that the instruments can give now; the others are left for typing. */
export function liveReadings(point: MeasurePoint, live: LiveOf, newId: NewId): Reading[] {
  return point.wants.flatMap(({ quantity }) => {
    const entry = live(quantity)
    if (!entry || entry.status !== 'ok' || entry.value === null) return []
    return [{ id: newId(), quantity, value: entry.value, standardUncertainty: entry.standardUncertainty, source: 'instrument' as const, instrument: entry.instrument }]
  })
}

/** What stands while the row is taken: from the sheet what was asked, from the instruments what is. */
export function rowConditions(sheet: ModelSheet, point: MeasurePoint, live: LiveOf): RowConditions {
  return { ...conditionsAsked(point.state), load: sheet.load, supplyV: live('supplyV')?.value ?? null, onTimeS: live('onTimeS')?.value ?? null }
}

export function rowTaken(phase: Phase, stepId: string | null, point: MeasurePoint, conditions: RowConditions, readings: readonly Reading[], id: string, atMs: number): RowTaken {
  return { kind: 'row-taken', id, atMs, phase, stepId, pointId: point.id, conditions, readings }
}
