import type { Turn } from '#core/run'
import { t } from '#shared/i18n'

/** What was turned, each once; what nobody said, but a reading that moved, says so. */
export function turnedNames(turns: readonly Turn[]): string {
  const said = new Set(turns.filter(turn => !turn.inferred).map(turn => turn.designator))
  const inferred = new Set(turns.map(turn => turn.designator).filter(d => !said.has(d)))
  return [...said, ...[...inferred].map(designator => t('run.turnInferred', { designator }))].join(', ')
}
