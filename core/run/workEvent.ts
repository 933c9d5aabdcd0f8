/**
 * What happens to a job beside measuring and aligning: looking, asking, waiting, mending, soaking,
 * concluding.
 */

import type { EventBase } from './eventBase'
import type { PartTested } from './partTested'
import type { SetAltered, TrialNoted } from './trialNoted'
import type { Mode } from '../rules'
import type { AdjusterRole } from '../sheet'

export const POWER_SEEN = ['normal', 'rising', 'limit', 'smoke'] as const
export const ITEM_STATES = ['fine', 'seen', 'treated', 'ask'] as const
export const ANSWERS = ['yes', 'no', 'other'] as const
export const WAITS_FOR = ['owner', 'parts', 'manual', 'other'] as const
export const COMPLAINT_RESULTS = ['reproduced', 'intermittent', 'not-reproduced'] as const
/** Where a meter of the line stands: between set and tuner, or behind the tuner. */
export const METER_AT = ['set-side', 'antenna-side'] as const
/** What the set was connected to. */
export const CONNECTED_TO = ['load', 'antenna'] as const

/** Set on the current-limited supply for the first time. */
export interface PowerTried extends EventBase {
  readonly kind: 'power-tried'
  readonly limitA: number
  readonly idleA: number | null
  readonly seen: (typeof POWER_SEEN)[number]
  /** out of circuit while it was tried; absent = none */
  readonly partsOut?: readonly string[]
  readonly text: string
}
export interface ItemInspected extends EventBase {
  readonly kind: 'item-inspected'
  readonly itemId: string
  readonly state: (typeof ITEM_STATES)[number]
  readonly text: string
}
/** "If ... then ...": comes up again by itself when the readings make its condition true. */
export interface ReminderSet extends EventBase {
  readonly kind: 'reminder-set'
  readonly condition: string
  readonly text: string
}
export interface QuestionAsked extends EventBase {
  readonly kind: 'question-asked'
  readonly text: string
  readonly price: string
  readonly consequence: string
}
export interface QuestionAnswered extends EventBase {
  readonly kind: 'question-answered'
  readonly questionId: string
  readonly answer: (typeof ANSWERS)[number]
  readonly text: string
}
export interface WaitBegun extends EventBase {
  readonly kind: 'wait-begun'
  readonly waitsFor: (typeof WAITS_FOR)[number]
  readonly text: string
  readonly untilDay: string | null
}
export interface WaitEnded extends EventBase {
  readonly kind: 'wait-ended'
  readonly waitId: string
  readonly text: string
}
export interface PartChanged extends EventBase {
  readonly kind: 'part-changed'
  readonly designator: string
  readonly partOut: string
  readonly partIn: string
  readonly isFinal: boolean
  readonly text: string
}
export interface Treated extends EventBase {
  readonly kind: 'treated'
  readonly what: string
  readonly where: string
  readonly text: string
}
export interface SoakBegun extends EventBase {
  readonly kind: 'soak-begun'
  readonly hours: number
  readonly text: string
}
export interface SoakEnded extends EventBase {
  readonly kind: 'soak-ended'
  readonly soakId: string
  readonly passed: boolean
  readonly text: string
}
/** Whether what the owner says shows on the bench, and under which conditions it was tried. */
export interface ComplaintTried extends EventBase {
  readonly kind: 'complaint-tried'
  readonly result: (typeof COMPLAINT_RESULTS)[number]
  readonly text: string
}
/** A question of the catalogue answered by hand. */
export interface TestAnswered extends EventBase {
  readonly kind: 'test-made'
  readonly observableId: string
  readonly outcome: string
  readonly text: string
}
export interface CauseConfirmed extends EventBase {
  readonly kind: 'cause-confirmed'
  readonly causeId: string
  readonly text: string
}

/** Switched on to warm up while another set is worked on. */
export interface WarmUpBegun extends EventBase {
  readonly kind: 'warm-up-begun'
}
/** Where an adjuster stood before anything was turned: the way back. */
export interface PositionNoted extends EventBase {
  readonly kind: 'position-noted'
  readonly designator: string
  readonly position: string
}
/**
 * Where the operator's controls stand in a state that is to be found again. Written once more for the same
 * band, mode and connection, it takes the place of what was written before.
 */
export interface SettingsNoted extends EventBase {
  readonly kind: 'settings-noted'
  /** channel of the plan; null = all bands */
  readonly channel: number | null
  /** null = whatever the mode */
  readonly mode: Mode | null
  /** null = whatever it is connected to */
  readonly connectedTo: (typeof CONNECTED_TO)[number] | null
  readonly positions: readonly ControlPosition[]
  /** what the line to the antenna showed in that state; absent = nothing was read */
  readonly match?: AntennaMatch
  readonly text: string
}
/** Powers on the line to the antenna; null = not read. */
export interface AntennaMatch {
  readonly forwardW: number | null
  readonly reflectedW: number | null
  /** as a scale showed it */
  readonly swr: number | null
  /** null = nobody said where the meter stands */
  readonly meterAt: (typeof METER_AT)[number] | null
}
export interface ControlPosition {
  readonly control: string
  /** as it is read on the set: '5.2', '14 turns', "1 o'clock" */
  readonly position: string
}
/** Something was turned that is no adjuster of the sheet: its twin, or one that nobody knew of. */
export interface UnlistedTurned extends EventBase {
  readonly kind: 'unlisted-turned'
  readonly name: string
  readonly role: AdjusterRole
  readonly startPosition: string
}
/** A reading that was challenged and is kept all the same. */
export interface ChallengeKept extends EventBase {
  readonly kind: 'challenge-kept'
  readonly readingId: string
  readonly rule: string
  readonly reason: string
}

export type WorkEvent =
  | PowerTried
  | ItemInspected
  | ReminderSet
  | QuestionAsked
  | QuestionAnswered
  | WaitBegun
  | WaitEnded
  | PartChanged
  | PartTested
  | Treated
  | SoakBegun
  | SoakEnded
  | TestAnswered
  | CauseConfirmed
  | ChallengeKept
  | PositionNoted
  | SettingsNoted
  | WarmUpBegun
  | UnlistedTurned
  | ComplaintTried
  | TrialNoted
  | SetAltered

export const WORK_EVENT_KINDS = [
  'power-tried',
  'item-inspected',
  'reminder-set',
  'question-asked',
  'question-answered',
  'wait-begun',
  'wait-ended',
  'part-changed',
  'part-tested',
  'treated',
  'soak-begun',
  'soak-ended',
  'test-made',
  'cause-confirmed',
  'challenge-kept',
  'position-noted',
  'settings-noted',
  'warm-up-begun',
  'unlisted-turned',
  'complaint-tried',
  'trial-noted',
  'set-altered',
] as const satisfies readonly WorkEvent['kind'][]
