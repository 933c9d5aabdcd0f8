import { v5 } from 'uuid'
import type { OldReading, OldRecord } from '#core/record'
import type { JobEvent, RowTaken } from '#core/run'
import { t } from '#shared/i18n'

/** Ids are made from what a record says: taken in twice it is one job. */
const NAMESPACE = '6a9f4b1e-52a1-4c58-9d0f-0a3b7a2d6f11'

export function jobIdOf({ owner, sheet, serial, receivedMs }: OldRecord): string {
  const day = new Date(receivedMs).toISOString().slice(0, 10)
  return v5([owner, sheet.id, serial, day].join('\u0000').toLowerCase(), NAMESPACE)
}

/** Of its intake; a complaint that nobody wrote down is not made up. */
export const intakeOf = ({ owner, contact, sheet, serial, complaint }: OldRecord) => ({
  owner,
  contact,
  sheetId: sheet.id,
  serial,
  complaint: complaint || t('server.noComplaintWritten'),
})

/** What is known of the visit, and nothing else: no tone, no supply, no load that nobody wrote down. */
export function eventsOf(record: OldRecord, jobId: string): JobEvent[] {
  const { receivedMs, returnedMs, readings, notes } = record
  const idOf = (...what: (string | number)[]) => v5([jobId, ...what].join('\u0000'), NAMESPACE)
  const note = (text: string, i: number): JobEvent => ({
    kind: 'note',
    id: idOf('note', i),
    atMs: receivedMs,
    stepId: null,
    text,
  })
  const unplaced = readings.filter(r => r.point === null).map(r => `${r.phase}: ${r.written}`)
  const texts = [
    t('server.oldRecordFromRows', { rows: record.rows.join(', ') }),
    ...notes,
    ...(unplaced.length > 0 ? [`${t('server.readingsWithoutRow')}\n${unplaced.join('\n')}`] : []),
  ]
  return [
    ...texts.map(note),
    ...rowsTaken(record, readings, idOf),
    { kind: 'handed-over', id: idOf('handed-over'), atMs: returnedMs, text: '' },
  ]
}

function rowsTaken(
  { receivedMs, returnedMs }: OldRecord,
  readings: readonly OldReading[],
  idOf: (...what: (string | number)[]) => string,
): RowTaken[] {
  const rows = new Map<string, OldReading[]>()
  for (const r of readings)
    if (r.point) rows.set(`${r.phase} ${r.point.id}`, [...(rows.get(`${r.phase} ${r.point.id}`) ?? []), r])
  return [...rows].map(([key, of]) => {
    const { phase, point, channel } = of[0]!
    const { mode, lowPower, powerPosition, coverage } = point!.state
    return {
      kind: 'row-taken',
      id: idOf(key),
      atMs: phase === 'as-found' ? receivedMs : returnedMs,
      phase,
      stepId: null,
      pointId: point!.id,
      conditions: {
        mode,
        channel,
        lowPower,
        powerPosition,
        coverage,
        toneHz: null,
        toneV: null,
        inputV: null,
        setting: '',
        supplyV: null,
        load: '',
        onTimeS: null,
      },
      readings: of.map(({ quantity, value, bound, instrument }, i) => ({
        id: idOf(key, i),
        quantity,
        value,
        standardUncertainty: null,
        source: 'typed',
        instrument,
        ...(bound === null ? {} : { bound }),
      })),
    }
  })
}
