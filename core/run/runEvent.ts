/**
 * What happens to a run beside readings and turns: its sheet corrected or confirmed, a gate passed, seconds
 * keyed, an entry struck out.
 */

import type { EventBase } from './eventBase'
import type { FieldChange } from '../sheet'
import { JOB_CHANGE_KINDS, type JobChange } from './jobChange'

/**
 * Fields of the sheet corrected in the middle of the work; the job goes on with them, and the sheet gets a
 * new revision.
 */
export interface SheetAmended extends EventBase {
  readonly kind: 'sheet-amended'
  readonly changes: readonly FieldChange[]
  readonly reason: string
  readonly who: string
}
/** A field of the sheet found right on this job. */
export interface FieldConfirmed extends EventBase {
  readonly kind: 'line-confirmed'
  /** path of the field */
  readonly line: string
  readonly who: string
}
/** Gone on although the set still drifts: what was known of it then. */
export interface GatePassed extends EventBase {
  readonly kind: 'gate-passed'
  readonly stepId: string
  readonly driftHzPerMin: number | null
  readonly onTimeS: number | null
  readonly reason: string
}
/** One key-down, counted from measured RF; every screen that saw it makes the same id of it. */
export interface Keyed extends EventBase {
  readonly kind: 'keyed'
  readonly stepId: string | null
  readonly lengthS: number
}
/** Whether an adjuster was turned before a row whose reading had moved; no designators = none was. */
export interface TurnAnswered extends EventBase {
  readonly kind: 'turn-answered'
  readonly rowId: string
  readonly designators: readonly string[]
}
/**
 * An entry that should not count: it stays in the record with the reason. Readings are struck out one by one.
 */
export interface EventStruck extends EventBase {
  readonly kind: 'event-struck'
  readonly eventId: string
  readonly reason: string
}

/** A technician has looked at what a trainee entered: it counts from now on, or it does not. */
export interface EntriesReviewed extends EventBase {
  readonly kind: 'entries-reviewed'
  readonly eventIds: readonly string[]
  readonly released: boolean
  readonly text: string
}

export type RunEvent =
  | SheetAmended
  | FieldConfirmed
  | GatePassed
  | Keyed
  | TurnAnswered
  | EventStruck
  | EntriesReviewed
  | JobChange

export const RUN_EVENT_KINDS = [
  'sheet-amended',
  'line-confirmed',
  'gate-passed',
  'keyed',
  'turn-answered',
  'event-struck',
  'entries-reviewed',
  ...JOB_CHANGE_KINDS,
] as const satisfies readonly RunEvent['kind'][]
