import type { JobEvent, OpenItem, RowState, RunState } from '../run'
import type { ModelSheet } from '../sheet'
import { lastPower, partsOut, powerVerdict } from './firstPower'
import { inspection } from './inspection'
import { runningSoak } from './soak'
import { asksFor, asksForRows, rowsAsked, stepsAsked, type Stage } from './stages'
import { waitsFor } from './waiting'

/** Readings outside that nobody has explained yet. */
function unexplained(asFound: readonly RowState[], events: readonly JobEvent[]): boolean {
  const outside = asFound.some(r =>
    r.cells.some(c => c.judgement?.verdict === 'above' || c.judgement?.verdict === 'below'),
  )
  return outside && !events.some(e => e.kind === 'cause-confirmed' || e.kind === 'step-confirmed')
}

/**
 * Nothing of a phase is open: each row was read and holds, or words say why not. Where the kind of job asks
 * for none, one row at least was read.
 */
function isDone(
  run: RunState,
  stage: 'as-found' | 'as-left',
  rows: { readonly asFound: readonly RowState[]; readonly asLeft: readonly RowState[] },
  items: readonly OpenItem[],
): boolean {
  const isAsked = asksForRows(run.jobKind, stage) || rowsAsked(run, stage, rows).length > 0
  const open = OPEN_ROWS[stage]
  return isAsked && !items.some(i => open.includes(i.kind) && i.settled === null)
}
/** Something was shown, and what was changed for it is put back. */
const isShown = (events: readonly JobEvent[], items: readonly OpenItem[]): boolean =>
  events.some(e => e.kind === 'trial-noted') && !items.some(i => i.kind === 'put-back' && i.settled === null)

const OPEN_ROWS: Readonly<Record<'as-found' | 'as-left', readonly OpenItem['kind'][]>> = {
  'as-found': ['as-found-missing'],
  'as-left': ['as-left-missing', 'as-left-stale'],
}

/**
 * Which phases of a job are complete, read off the record. A job that has begun an alignment has been looked
 * at and its findings were acted on; repair and soak are open only while something there is. A kind of job
 * without findings has mended something once a part was replaced or a spot treated.
 */
export function stagesDone(
  sheet: ModelSheet,
  events: readonly JobEvent[],
  run: RunState,
  asFound: readonly RowState[],
  asLeft: readonly RowState[],
  items: readonly OpenItem[],
): Record<Stage, boolean> {
  const rows = { asFound, asLeft }
  const power = lastPower(events)
  const measured = isDone(run, 'as-found', rows, items)
  const explained = measured && !unexplained(asFound, events)
  const mended = asksFor(run.jobKind, 'findings') ? explained : run.mendedAt >= 0
  return {
    'intake': true,
    'inspection':
      power !== null &&
      powerVerdict(sheet, power) !== 'stop' &&
      partsOut(power).length === 0 &&
      inspection(sheet, events).every(i => i.last !== null),
    'as-found': measured,
    'findings': explained,
    'repair': mended && waitsFor(events) === null,
    'align': stepsAsked(run).every(s => s.satisfied || s.status === 'skipped'),
    'trials': isShown(events, items),
    'as-left': isDone(run, 'as-left', rows, items),
    'soak': runningSoak(events) === null && events.some(e => e.kind === 'soak-ended'),
    'handover': events.some(e => e.kind === 'handed-over'),
  }
}
