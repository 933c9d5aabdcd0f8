import { t, type MessageCode } from '#shared/i18n'
import { array, boolean, mixed, number, object, string, uuid } from '#shared/yup'
import { JOB_KINDS, MODEL_CHANGES, type RunEvent } from '#core/run'
import { text } from './eventFields'
import { UNKNOWN_FIELD } from './unknownField'

/** The form of a field's value is checked against the sheet; here only its size is. */
const fieldValue = () =>
  mixed()
    .label('form.value')
    .defined()
    .nullable()
    .test(
      'small',
      () => t('form.valueTooLongForSheet'),
      v => JSON.stringify(v ?? null).length <= 4000,
    )
const change = object({ line: string().max(200).required(), from: fieldValue(), to: fieldValue() }).noUnknown(
  true,
  UNKNOWN_FIELD,
)
const sheetRef = () =>
  object({
    sheetId: string().label('common.model').max(60).required(),
    sheetRevision: number().integer().min(1).max(1e6).required(),
  }).noUnknown(true, UNKNOWN_FIELD)
const who = () => string().trim().label('form.who').max(60).defined()
const amount = (label: MessageCode, max: number) => number().label(label).min(0).max(max)

/** Fields of what happens to a run beside readings and turns. */
export const RUN_EVENT_BODIES: Record<RunEvent['kind'], Record<string, unknown>> = {
  'sheet-amended': {
    changes: array(change.required()).min(1).max(20).required(),
    reason: text('common.reason').defined(),
    who: who(),
  },
  'line-confirmed': { line: string().max(200).required(), who: who() },
  'gate-passed': {
    stepId: string().max(20).required(),
    driftHzPerMin: number().label('form.drift').min(-1e6).max(1e6).nullable().defined(),
    onTimeS: amount('form.timeSincePowerOn', 1e8).nullable().defined(),
    reason: text('common.reason').defined(),
  },
  'keyed': {
    stepId: string().max(20).nullable().defined(),
    lengthS: amount('form.secondsKeyed', 36_000).required(),
  },
  'turn-answered': { rowId: uuid(), designators: array(string().max(14).required()).max(40).required() },
  'event-struck': { eventId: uuid(), reason: text('common.reason').required() },
  'entries-reviewed': {
    eventIds: array(uuid()).min(1).max(500).required(),
    released: boolean().required(),
    text: text('common.reason').defined(),
  },
  'job-kind-set': {
    jobKind: string().label('kind.kindOfJob').oneOf(JOB_KINDS).required(),
    reason: text('common.reason').defined(),
  },
  'model-changed': {
    because: string().oneOf(MODEL_CHANGES).required(),
    from: sheetRef().required(),
    to: sheetRef().required(),
    reason: text('common.reason').defined(),
  },
  'job-withdrawn': { reason: text('common.reason').required() },
}
