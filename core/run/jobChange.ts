/** What changes the job itself: what kind it is, by which sheet it is measured, whether it counts. */

import type { EventBase } from './eventBase'

/**
 * What a job is. It decides which phases belong to it, and with them what is asked at the end. Conversion: a
 * set that leaves as something else than it came (another final, another reference, another band).
 * Demonstration: a fault shown on purpose, the set left as it was.
 */
export const JOB_KINDS = [
  'check',
  'repair',
  'alignment',
  'full-service',
  'conversion',
  'proof',
  'demonstration',
] as const
export type JobKind = (typeof JOB_KINDS)[number]

/** A revision of a sheet. */
export interface SheetRef {
  readonly sheetId: string
  readonly sheetRevision: number
}

/**
 * Why a job is measured by another sheet from here on: it was booked in under the wrong model, it was
 * converted and leaves as another one than it came, or the same model has a better sheet now, its own or a
 * newer revision.
 */
export const MODEL_CHANGES = ['wrong-model', 'conversion', 'own-sheet'] as const

export interface ModelChanged extends EventBase {
  readonly kind: 'model-changed'
  readonly because: (typeof MODEL_CHANGES)[number]
  readonly from: SheetRef
  readonly to: SheetRef
  readonly reason: string
}

/** What the job is from here on: at intake, and when it grows. */
export interface JobKindSet extends EventBase {
  readonly kind: 'job-kind-set'
  readonly jobKind: JobKind
  readonly reason: string
}

/** Begun by mistake: kept and marked, and out of every list. Struck out, the job goes on. */
export interface JobWithdrawn extends EventBase {
  readonly kind: 'job-withdrawn'
  readonly reason: string
}

export type JobChange = JobKindSet | JobWithdrawn | ModelChanged

export const JOB_CHANGE_KINDS = [
  'job-kind-set',
  'job-withdrawn',
  'model-changed',
] as const satisfies readonly JobChange['kind'][]
