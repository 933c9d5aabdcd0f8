import { groupDigits } from '#core/quantity'
import { isLessBetter, levelChange, type ComparedCell } from '#core/run'
import { t } from '#shared/i18n'

/** How much more or less there is than before, in decibels; null = nothing to tell. */
export function levelChangeWords(cell: ComparedCell): string | null {
  const change = levelChange(cell)
  if (!change) return null
  const { db, boundDb } = change
  const signed = t('run.changeDb', { db: groupDigits(db, 1, true) })
  if (boundDb !== null && Math.abs(db) <= boundDb) return t('run.changeWithin', { change: signed })
  if (!isLessBetter(cell.want.quantity)) return signed
  return t(db < 0 ? 'run.lostDb' : 'run.gainedDb', { db: groupDigits(Math.abs(db), 1) })
}
