import { array, number, object, type InferType, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'
import type { Stage, WaitsFor, WarmUp } from '#core/work'
import type { JobKind } from '#core/run'
import type { SetKind } from '#core/sheet'
import type { Job } from './job'

/** Every job that is here, in order, each with its bench. */
const order = () =>
  array(
    object({ id: uuid(), bench: number().integer().min(1).max(9).nullable().defined() })
      .noUnknown(true, UNKNOWN_FIELD)
      .required(),
  )
    .max(500)
    .required()
/** was: how they lay for whoever moved one */
export const benchMove = object({ order: order(), was: order() }).noUnknown(true, UNKNOWN_FIELD)
export type BenchMove = InferType<typeof benchMove>
export type BenchOrder = BenchMove['order']

/** A job on the bench page: where it stands, computed from its events. */
export interface JobSummary {
  readonly job: Job
  readonly model: string
  readonly kind: SetKind
  readonly done: Readonly<Record<Stage, boolean>>
  /** phases of this job, in order */
  readonly stages: readonly Stage[]
  /** null = of a job that was handed over the bench does not ask */
  readonly jobKind: JobKind | null
  readonly nextStepTitle: string | null
  readonly waitsFor: WaitsFor | null
  readonly stopped: boolean
  readonly warmUp: WarmUp | null
  readonly soakEndsAtMs: number | null
  readonly lastEventAtMs: number | null
}
