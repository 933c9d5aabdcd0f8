import { groupDigits } from '#core/quantity'
import { LOCALES, language, t } from '#shared/i18n'

/** Days and times in the language that is spoken; the order of day, month and year is the same in both. */

const part = (at: Date | number, options: Intl.DateTimeFormatOptions) =>
  new Intl.DateTimeFormat(LOCALES[language()], options).format(at)

/** Two digits each, alike in every language. */
const digits = (...parts: number[]) => parts.map(n => String(n).padStart(2, '0'))

export function clockTime(at: Date | number): string {
  const time = new Date(at)
  return digits(time.getHours(), time.getMinutes()).join(':')
}

export function clockSeconds(at: Date | number): string {
  return `${clockTime(at)}:${digits(new Date(at).getSeconds()).join()}`
}

export function dayMonth(at: Date | number): string {
  return `${new Date(at).getDate()} ${part(at, { month: 'short' })}`
}

export function dayMonthYear(at: Date | number): string {
  return `${dayMonth(at)} ${new Date(at).getFullYear()}`
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
export function localDay(at: Date | number): string {
  const day = new Date(at)
  return digits(day.getFullYear(), day.getMonth() + 1, day.getDate()).join('-')
}
