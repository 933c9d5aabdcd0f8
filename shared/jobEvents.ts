import { array, boolean, lazy, number, object, string, type ObjectSchema, uuid } from '#shared/yup'
import { JOB_EVENT_KINDS, PHASES, type JobEvent } from '#core/run'
import { RUN_EVENT_BODIES } from './runEvents'
import { WORK_EVENT_BODIES } from './workEvents'
import { MODES } from '#core/rules'
import { AUDIOS, COVERAGES } from '#core/sheet'
import { UNKNOWN_FIELD } from './unknownField'
import { text } from './eventFields'
import { reading } from './readingBody'

const base = { id: uuid(), atMs: number().integer().min(0).max(8.64e15).required() }
const stepId = () => string().max(20).nullable().defined()

const conditions = object({
  mode: string().oneOf(MODES).required(),
  channel: number().integer().min(1).max(400).nullable().defined(),
  lowPower: boolean().required(),
  powerPosition: string().trim().min(1).max(60).optional(),
  toneHz: number().min(0).max(1e5).nullable().defined(),
  audio: string().oneOf(AUDIOS).optional(),
  toneV: number().min(0).max(10).nullable().defined(),
  inputV: number().min(0).max(10).nullable().defined(),
  coverage: string().oneOf(COVERAGES).required(),
  setting: string().max(200).defined(),
  supplyV: number().min(0).max(1000).nullable().defined(),
  load: string().max(200).defined(),
  onTimeS: number().min(0).max(1e8).nullable().defined(),
}).noUnknown(true, UNKNOWN_FIELD)

const BODIES: Record<JobEvent['kind'], Record<string, unknown>> = {
  'row-taken': {
    phase: string().oneOf(PHASES).required(),
    stepId: stepId(),
    pointId: string().max(40).required(),
    conditions: conditions.required(),
    readings: array(reading).min(1).max(20).required(),
  },
  'reading-struck': { readingId: uuid(), reason: text('common.reason').required() },
  'adjuster-turned': {
    designators: array(string().max(14).required()).min(1).max(40).required(),
    stepId: stepId(),
    startPosition: text('form.startingPosition').defined(),
    isReturned: boolean().oneOf([true]).optional(),
  },
  'step-confirmed': {
    stepId: string().max(20).required(),
    outcome: string().oneOf(['done', 'as-is', 'skipped']).required(),
    reason: text('common.reason').defined(),
  },
  'step-reopened': { stepId: string().max(20).required(), reason: text('common.reason').defined() },
  'note': { stepId: stepId(), text: text('form.note').required() },
  'item-settled': { itemId: string().max(60).required(), text: text('form.howItWasResolved').required() },
  'items-settled': {
    itemIds: array(string().max(60).required()).min(1).max(300).required(),
    text: text('form.howItWasResolved').required(),
  },
  'handed-over': { text: text('form.explainedToTheOwner').defined() },
  ...WORK_EVENT_BODIES,
  ...RUN_EVENT_BODIES,
}

/** Any event of a job; unknown kinds and unknown fields are refused by name. */
export const jobEventBody = lazy((value: { kind?: string } | undefined) => {
  const kind = value?.kind as JobEvent['kind'] | undefined
  const named = { ...base, kind: string().oneOf(JOB_EVENT_KINDS).required() }
  // Of an unknown kind only the kind is worth a word.
  if (!kind || !JOB_EVENT_KINDS.includes(kind)) return object(named).required() as ObjectSchema<object>
  return object({ ...named, ...(BODIES[kind] as object) })
    .noUnknown(true, UNKNOWN_FIELD)
    .required() as ObjectSchema<object>
})
