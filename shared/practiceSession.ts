import type { Logged, Review, TracePoint } from '#core/practice'
import type { PracticeState } from './practice'

/** A case or lesson in a list. faults and damage are known once it is finished. */
export interface PracticeSummary {
  readonly id: string
  readonly trainee: string
  readonly designId: string
  readonly lessonId: string | null
  readonly kitId: string
  readonly jobId: string | null
  readonly jobNumber: number | null
  readonly difficulty: number
  readonly startedAtMs: number
  readonly finishedAtMs: number | null
  readonly faults?: Review['faults'] | null
  readonly damage?: Review['damage'] | null
  readonly workedS?: number | null
}

/** A finished one with everything to look back at. */
export interface PracticeSession extends PracticeSummary {
  readonly named: readonly string[]
  readonly review: Review | null
  readonly trace: readonly TracePoint[] | null
  readonly log: readonly Logged[] | null
}

/** The bench as it stands, and the case that is being worked. */
export interface PracticeNow extends PracticeState {
  readonly open: PracticeSummary | null
}
