import { groupDigits, showMenuValue, type MenuFormat } from '#core/quantity'
import type { LawAdvice } from '#core/run'
import { t } from '#shared/i18n'

/** The menu value to set, and why it is that one. */
export function lawWords({ designator, law, by, bound, next }: LawAdvice, format: MenuFormat) {
  const value = showMenuValue(next, format)
  const change = groupDigits(by, 0, true)
  const say = t('guide.setEntryTo', { designator, value, change })
  const within =
    bound === null ? '' : ` ${t('guide.leftOpenByTheReading', { bound: groupDigits(Math.max(1, bound), 0) })}`
  if (law === 'offset') return { say, how: `${t('guide.offsetWithItsSign')}${within}` }
  const why = by < 0 ? 'guide.clockIsSlower' : 'guide.clockIsFaster'
  return { say, how: `${t(why, { designator })}${within}` }
}
