import type { RowState } from './matrixState'
import type { RunState } from './runState'

export const STAGES = ['intake', 'as-found', 'align', 'as-left', 'handover'] as const
export type Stage = typeof STAGES[number]

/** Which stages of a job are complete. The intake needs owner, serial and complaint; the rest is read off the record. */
export function stagesDone(intakeComplete: boolean, asFound: readonly RowState[], run: RunState, asLeft: readonly RowState[], handedOver: boolean): Record<Stage, boolean> {
  return {
    'intake': intakeComplete,
    'as-found': asFound.every(r => r.complete),
    'align': run.steps.every(s => s.satisfied || s.status === 'skipped'),
    'as-left': asLeft.every(r => r.complete && !r.stale),
    'handover': handedOver,
  }
}
