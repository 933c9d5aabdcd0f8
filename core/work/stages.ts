import type { JobEvent, RowState, RunState } from '../run'
import type { ModelSheet } from '../sheet'
import { lastPower, powerVerdict } from './firstPower'
import { inspection } from './inspection'
import { runningSoak } from './soak'
import { waitsFor } from './waiting'

export const STAGES = [
  'intake',
  'inspection',
  'as-found',
  'findings',
  'repair',
  'align',
  'as-left',
  'soak',
  'handover',
] as const
export type Stage = (typeof STAGES)[number]

/** Readings outside that nobody has explained yet. */
function unexplained(asFound: readonly RowState[], events: readonly JobEvent[]): boolean {
  const outside = asFound.some(r =>
    r.cells.some(c => c.judgement?.verdict === 'above' || c.judgement?.verdict === 'below'),
  )
  return outside && !events.some(e => e.kind === 'cause-confirmed' || e.kind === 'step-confirmed')
}

/**
 * Which stages of a job are complete, read off the record. A job that has begun an alignment has been looked
 * at and its findings were acted on; repair and soak are open only while something there is.
 */
export function stagesDone(
  sheet: ModelSheet,
  events: readonly JobEvent[],
  run: RunState,
  asFound: readonly RowState[],
  asLeft: readonly RowState[],
): Record<Stage, boolean> {
  const power = lastPower(events)
  const handedOver = events.some(e => e.kind === 'handed-over')
  const measured = asFound.every(r => r.complete)
  const explained = measured && !unexplained(asFound, events)
  return {
    'intake': true,
    'inspection':
      power !== null &&
      powerVerdict(sheet, power) !== 'stop' &&
      inspection(sheet, events).every(i => i.last !== null),
    'as-found': measured,
    'findings': explained,
    'repair': explained && waitsFor(events) === null,
    'align': run.steps.every(s => s.satisfied || s.status === 'skipped'),
    'as-left': asLeft.every(r => r.complete && !r.stale),
    'soak': runningSoak(events) === null && events.some(e => e.kind === 'soak-ended'),
    'handover': handedOver,
  }
}
