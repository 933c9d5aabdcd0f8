import { groupDigits } from '#core/quantity'
import { rowGains, type RowState } from '#core/run'
import { t, translated } from '#shared/i18n'

/** The gain of an amplifier row by row; where it differs by more than the meters may, it says so. */
export function rowGainWords(rows: readonly RowState[]): string[] {
  const gains = rowGains(rows)
  const [first, ...others] = gains
  if (!first) return []
  const list = gains
    .map(({ point, db, boundDb }) =>
      t('run.gainOfRow', {
        row: translated(point.title),
        db: groupDigits(db, 1),
        bound: boundDb === null ? '' : ` \u00b1${groupDigits(boundDb, 1)}`,
      }),
    )
    .join('; ')
  const differs = others.some(
    o =>
      o.boundDb !== null &&
      first.boundDb !== null &&
      Math.abs(o.db - first.db) > Math.hypot(o.boundDb, first.boundDb),
  )
  return [differs ? t('run.gainDiffers', { list }) : t('run.gainRows', { list })]
}
