import { groupDigits } from '#core/quantity'
import { format } from 'date-fns'
import { LOCALES, language, t } from '#shared/i18n'

/** Days and times in the language that is spoken; the order of day, month and year is the same in both. */

const part = (at: Date | number, options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat(LOCALES[language()], options).format(at)

export function clockTime(atMs: number): string {
  return format(atMs, 'HH:mm')
}

export function clockSeconds(atMs: number): string {
  return format(atMs, 'HH:mm:ss')
}

export function dayMonth(at: Date | number): string {
  return `${format(at, 'd')} ${part(at, { month: 'short' })}`
}

export function dayMonthYear(at: Date | number): string {
  return `${dayMonth(at)} ${format(at, 'yyyy')}`
}

export function dayAndTime(atMs: number): string {
  return `${dayMonthYear(atMs)}, ${clockTime(atMs)}`
}

export function day(iso: string | null): string {
  if (!iso) return t('common.noDueDate')
  const at = new Date(`${iso}T12:00:00`)
  return `${part(at, { weekday: 'short' })} ${dayMonth(at)}`
}

/** A count with its thousands apart. */
export function countWords(count: number): string {
  return groupDigits(count, 0)
}

/**
 * The day that a clock on the wall shows: of a browser, or of the server for its workshop. A promise is late
 * when that day is over, not when the day of Greenwich is.
 */
export const localDay = (at: Date | number): string => format(at, 'yyyy-MM-dd')
