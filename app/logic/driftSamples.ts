import { channelHz } from '../../core/rules'
import type { DriftSample, RunState } from '../../core/run'
import type { ModelSheet } from '../../core/sheet'
import type { TrendPoint } from './trends'

/** Further from nominal than this is another channel, or no set at all [ratio]. */
const NEAR_RATIO = 3e-4

/**
 * What is known of the drift of a set, as errors scaled to its transmit frequency: the counter at the reference pin, which can watch without keying, else the carrier.
 * @param carrier and reference readings of the last hour
 * @param channel at hand, or null
 */
export function driftSamples(sheet: ModelSheet, channel: number | null, carrier: readonly TrendPoint[], reference: readonly TrendPoint[]): DriftSample[] {
  const transmitHz = channelHz(sheet.planId, channel ?? sheet.main.fromChannel)
  const referenceHz = referenceNominal(sheet)
  const pin = referenceHz === null ? [] : errors(reference, referenceHz, transmitHz / referenceHz)
  return pin.length >= carrier.length / 2 && pin.length > 0 ? pin : errors(carrier, transmitHz, 1)
}

function errors(points: readonly TrendPoint[], nominalHz: number, scale: number): DriftSample[] {
  return points.filter(p => Math.abs(p.value - nominalHz) < nominalHz * NEAR_RATIO).map(p => ({ atS: p.atMs / 1000, hz: (p.value - nominalHz) * scale }))
}

function referenceNominal(sheet: ModelSheet): number | null {
  for (const point of [...sheet.matrix, ...sheet.procedure.flatMap(s => s.points)]) {
    for (const { quantity, target } of point.wants) if (quantity === 'referenceHz' && target?.kind === 'nominal-error') return target.nominalHz
  }
  return null
}

/** Frequency readings taken on the job belong to the drift as well: the log by hand, every few minutes. */
export function takenSamples(run: RunState, channel: number | null, sinceMs: number): TrendPoint[] {
  return run.history.readings.filter(t => t.struck === null && t.reading.quantity === 'carrierHz' && t.row.atMs >= sinceMs && (channel === null || t.row.conditions.channel === channel)).map(t => ({ atMs: t.row.atMs, value: t.reading.value }))
}
