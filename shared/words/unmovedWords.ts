import { showPlain } from '#core/quantity'
import type { Unmoved } from '#core/run'
import { t } from '#shared/i18n'
import { quantityLabel } from './quantityWords'
import { capital } from './sentence'

/** What stayed although its adjuster was turned, and what that may mean. */
export function unmovedWords({ designator, reading, twins, isReturned }: Unmoved): string {
  const what = capital(quantityLabel(reading.quantity))
  const value = showPlain(reading.value, reading.quantity)
  const said = t('run.didNotFollow', { what, value, designator })
  const look = twins.length > 0 ? ` ${t('run.sameKindBeside', { list: twins.join(', ') })}` : ''
  return isReturned ? `${said}${look}` : `${said}${look} ${t('run.turnBackToMark')}`
}
