import type { EventBase } from './eventBase'
import type { Reading } from '../quantity'
import type { OperatingPoint } from '../sheet'
import { RUN_EVENT_KINDS, type RunEvent } from './runEvent'
import { WORK_EVENT_KINDS, type WorkEvent } from './workEvent'

export const PHASES = ['as-found', 'adjusting', 'as-left', 'soak'] as const
export type Phase = (typeof PHASES)[number]

/** What stood while a row was read; kept with it, or the numbers are worthless. */
export interface RowConditions extends OperatingPoint {
  readonly supplyV: number | null
  readonly load: string
  readonly onTimeS: number | null
}

/** One press: every number of one row, with its conditions. stepId null = a row of the matrix. */
export interface RowTaken extends EventBase {
  readonly kind: 'row-taken'
  readonly phase: Phase
  readonly stepId: string | null
  readonly pointId: string
  readonly conditions: RowConditions
  readonly readings: readonly Reading[]
}
export interface ReadingStruck extends EventBase {
  readonly kind: 'reading-struck'
  readonly readingId: string
  readonly reason: string
}
export interface AdjusterTurned extends EventBase {
  readonly kind: 'adjuster-turned'
  readonly designators: readonly string[]
  readonly stepId: string | null
  readonly startPosition: string
  /** put back to its mark: it stands where it stood, as far as a mark tells */
  readonly isReturned?: true
}
export interface StepConfirmed extends EventBase {
  readonly kind: 'step-confirmed'
  readonly stepId: string
  readonly outcome: 'done' | 'as-is' | 'skipped'
  readonly reason: string
}
export interface StepReopened extends EventBase {
  readonly kind: 'step-reopened'
  readonly stepId: string
  readonly reason: string
}
export interface NoteMade extends EventBase {
  readonly kind: 'note'
  readonly stepId: string | null
  readonly text: string
}
export interface ItemSettled extends EventBase {
  readonly kind: 'item-settled'
  readonly itemId: string
  readonly text: string
}
/** Several items that one reason settles. */
export interface ItemsSettled extends EventBase {
  readonly kind: 'items-settled'
  readonly itemIds: readonly string[]
  readonly text: string
}
export interface HandedOver extends EventBase {
  readonly kind: 'handed-over'
  readonly text: string
}

/**
 * Everything that can happen to a job after intake. Append only; the order of the list is the order of
 * events.
 */
export type JobEvent =
  | RowTaken
  | ReadingStruck
  | AdjusterTurned
  | StepConfirmed
  | StepReopened
  | NoteMade
  | ItemSettled
  | ItemsSettled
  | HandedOver
  | WorkEvent
  | RunEvent

/** Entries that carry readings. */
export const WITH_READINGS = ['row-taken', 'trial-noted'] as const satisfies readonly JobEvent['kind'][]

export const JOB_EVENT_KINDS = [
  'row-taken',
  'reading-struck',
  'adjuster-turned',
  'step-confirmed',
  'step-reopened',
  'note',
  'item-settled',
  'items-settled',
  'handed-over',
  ...WORK_EVENT_KINDS,
  ...RUN_EVENT_KINDS,
] as const satisfies readonly JobEvent['kind'][]
