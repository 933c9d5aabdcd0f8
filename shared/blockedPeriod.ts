import { t } from '#shared/i18n'
import { object, string, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'
import { day } from './day'

/** Days on which other work takes the bench. The same schema checks form and request. */
export const blockedPeriodBody = object({
  id: uuid(),
  fromDay: day('form.firstDay').required(),
  toDay: day('form.lastDay')
    .required()
    .test(
      'after',
      () => t('form.lastDayBeforeFirst'),
      (v, context) => v >= (context.parent as { fromDay: string }).fromDay,
    ),
  why: string().trim().label('common.reason').max(200).required(),
}).noUnknown(true, UNKNOWN_FIELD)
