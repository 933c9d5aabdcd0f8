import { object, string } from 'yup'
import { UNKNOWN_FIELD } from './unknownField'

const isoDay = (label: string) =>
  string()
    .label(label)
    .required()
    .matches(/^\d{4}-\d{2}-\d{2}$/, `${label}: use the form 2026-11-27`)
    .test(
      'real-day',
      `${label}: this day does not exist`,
      v => !v || (!Number.isNaN(Date.parse(v)) && new Date(v).toISOString().startsWith(v)),
    )

/** Days on which other work takes the bench. The same schema checks form and request. */
export const blockedPeriodBody = object({
  id: string().uuid().required(),
  fromDay: isoDay('First day'),
  toDay: isoDay('Last day').test(
    'after',
    'Last day: before the first day',
    (v, context) => v >= (context.parent as { fromDay: string }).fromDay,
  ),
  why: string().trim().label('Reason').max(200).required(),
}).noUnknown(true, UNKNOWN_FIELD)
