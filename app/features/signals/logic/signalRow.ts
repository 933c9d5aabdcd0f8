import { v4 as uuid } from 'uuid'
import type { JudgedSignal } from '#core/signal'
import { operatingPoint, type MeasurePoint } from '#core/sheet'
import { t } from '#shared/i18n'

/** What a row asks for, taken from a recording as from any instrument. */
export function signalRow(
  { readings }: JudgedSignal,
  name: string,
  phase: 'as-found' | 'as-left',
  point: MeasurePoint,
  load: string,
) {
  const asked = new Set(point.wants.map(w => w.quantity))
  return {
    kind: 'row-taken' as const,
    id: uuid(),
    atMs: Date.now(),
    phase,
    stepId: null,
    pointId: point.id,
    conditions: { ...operatingPoint(point.state), supplyV: null, load, onTimeS: null },
    readings: readings
      .filter(r => asked.has(r.quantity))
      .map(({ quantity, value, standardUncertainty, spread, bound }) => ({
        id: uuid(),
        quantity,
        value,
        standardUncertainty,
        spread,
        ...(bound ? { bound } : {}),
        source: 'instrument' as const,
        instrument: t('signals.recording', { name }).slice(0, 100),
      })),
  }
}
