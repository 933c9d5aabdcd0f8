import type { RigState } from '#core/rig'
import { lookedAt, type NewEvent } from './lookedAt'
import { CONFIRMED } from './pastJobs'
import { SHEET, asFoundRows, neglected, row, turned } from './simulatedRows'

const HOUR_MS = 3_600_000

/** Where the adjusters stand in the end. */
const LEFT_AT = { CT1: 0.3861, CT2: 0.4021, L4: 0, L6: -0.2, L7: 0.9, RV1: 0.285, RV2: 0.595, RV3: 0.5 }

/** An FM mobile from as found to handover, as the shop would like all of them. */
export function finishedJob(atMs: number): NewEvent[] {
  const found = neglected(40)
  const set = turned(found, LEFT_AT)
  const turning: NewEvent = {
    kind: 'adjuster-turned',
    atMs: atMs + HOUR_MS,
    designators: Object.keys(LEFT_AT),
    stepId: null,
    startPosition: 'photo',
  }
  return [
    ...lookedAt(SHEET, atMs - HOUR_MS, { I37: ['treated', 'L4 re-waxed'] }),
    ...asFoundRows(found, 1500, atMs, 'as-found'),
    turning,
    ...alignment(set, atMs + 1.2 * HOUR_MS),
    ...asFoundRows(set, 5400, atMs + 1.6 * HOUR_MS, 'as-left'),
    { ...CONFIRMED, atMs: atMs + 1.9 * HOUR_MS },
    {
      kind: 'item-settled',
      atMs: atMs + 2 * HOUR_MS,
      itemId: 'A1.6',
      text: 'second IF within 40 Hz of 455 kHz, left alone',
    },
    {
      kind: 'item-settled',
      atMs: atMs + 2 * HOUR_MS,
      itemId: 'A1.16',
      text: 'analyser borrowed: second harmonic 71 dB down; cores waxed',
    },
    {
      kind: 'handed-over',
      atMs: atMs + 2.2 * HOUR_MS,
      text: 'The meter on the set now tells the truth: it will show less than before.',
    },
  ]
}

/** Every step of the sheet, measured and confirmed; one reading per want (peaking needs two passes). */
function alignment(set: RigState, atMs: number): NewEvent[] {
  return SHEET.procedure.flatMap((step, i) => {
    const passes = step.criterion?.kind === 'peak' ? 2 : 1
    const rows = Array.from({ length: passes }, () =>
      step.points.map(p => row(set, p, 4500 + i * 60, atMs + i * 60_000, 'adjusting', step.id)),
    ).flat()
    return [
      ...rows,
      {
        kind: 'step-confirmed' as const,
        atMs: atMs + i * 60_000 + 30_000,
        stepId: step.id,
        outcome: 'done' as const,
        reason: '',
      },
    ]
  })
}
