import { t, translated } from '#shared/i18n'
import { groupDigits } from '#core/quantity'
import { channelName, planOf } from '#core/rules'
import type { LeftSo, Shift } from '#core/run'
import type { ModelSheet } from '#core/sheet'

const hertz = (hz: number) => `${groupDigits(hz, 1, true)}\u2009Hz`

function shiftWords(sheet: ModelSheet, { name, at, adjusters }: Shift): string {
  const list = at
    .map(({ channel, shiftHz }) =>
      channel === null
        ? hertz(shiftHz)
        : t('run.shiftOnChannel', { shift: hertz(shiftHz), channel: channelName(planOf(sheet), channel) }),
    )
    .join(', ')
  const what = t('run.shiftOfName', { name: translated(name), list })
  return adjusters.length > 0 ? t('run.shiftTakenUp', { what, adjusters: adjusters.join(', ') }) : what
}

/** What follows when a frequency is left off, and what can be done where its adjuster reaches no further. */
export function leftSoWords(sheet: ModelSheet, { errorHz, errorPpm, shifts }: LeftSo): string {
  const [error, ppm] = [hertz(errorHz), groupDigits(errorPpm, 1, true)]
  const what =
    shifts.length === 0
      ? t('run.leftSoNothing', { error, ppm })
      : t('run.leftSo', { error, ppm, list: shifts.map(s => shiftWords(sheet, s)).join('; ') })
  return `${what} ${t('run.adjusterAtItsStop')}`
}
