import { HEX_BYTE, showMenuValue } from '#core/quantity'
import type { CellState, ComparedCell } from '#core/run'
import { t, translated } from '#shared/i18n'

/** Menu values as the set leaves with them: whoever works on it next needs them; empty = none was read. */
export function menuAsLeft(compared: readonly ComparedCell[]): string[] {
  const list = compared.flatMap(({ point, want, before, after, isGone }) => {
    if (want.quantity !== 'menuCode' || isGone || !after.latest || after.latest.staleBy.length > 0) return []
    const [was, now] = [before, after].map(shownIn)
    const row = translated(point.title)
    return [
      was && was !== now ? t('owner.menuChanged', { row, now, was }) : t('owner.menuLeft', { row, now }),
    ]
  })
  return list.length > 0 ? [t('owner.menuAsLeft', { list: list.join('; ') })] : []
}

const shownIn = ({ latest, want }: CellState): string | null =>
  latest && showMenuValue(latest.reading.value, want.menu ?? HEX_BYTE)
