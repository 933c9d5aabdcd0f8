import { t, type MessageCode } from '#shared/i18n'
import { fieldName, string } from '#shared/yup'

const DAY = /^\d{4}-\d{2}-\d{2}$/

/** Whether "2026-02-28" is a day of the calendar; "2026-02-31" is not. */
export function isDay(text: string): boolean {
  if (!DAY.test(text)) return false
  const ms = Date.parse(`${text}T00:00:00Z`)
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(text)
}

/** A day of the calendar as text, empty allowed: one schema for every date that is typed. */
export function day(label: MessageCode) {
  return string()
    .label(label)
    .test(
      'form',
      () => t('form.useTheForm', { label: fieldName(label) }),
      text => !text || DAY.test(text),
    )
    .test(
      'exists',
      () => t('form.dayDoesNotExist', { label: fieldName(label) }),
      text => !text || !DAY.test(text) || isDay(text),
    )
}
