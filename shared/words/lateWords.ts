import type { RowState, TakenReading } from '#core/run'
import { t } from '#shared/i18n'

/**
 * Rows "as found" that were read when the set was no longer as it came: those that something moves which had
 * been turned, by what it was; and those that were read late, with nothing turned that moves them.
 */
export function lateWords(asFound: readonly RowState[]): string[] {
  const moved = new Map<string, string[]>()
  const late: string[] = []
  for (const { point, cells } of asFound) {
    const taken = cells.flatMap(c => (c.latest ? [c.latest] : []))
    const by = turnedBefore(taken)
    if (by) moved.set(by, [...(moved.get(by) ?? []), point.title])
    else if (taken.some(r => r.isAfterWork)) late.push(point.title)
  }
  return [
    ...[...moved].map(([list, rows]) => t('run.notAsItCame', { list, rows: rows.join('; ') })),
    ...(late.length > 0 ? [t('run.readAfterWork', { rows: late.join('; ') })] : []),
  ]
}

const turnedBefore = (taken: readonly TakenReading[]): string =>
  [...new Set(taken.flatMap(r => r.turnedBefore.map(turn => turn.designator)))].join(', ')
