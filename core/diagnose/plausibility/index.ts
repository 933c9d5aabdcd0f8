import type { Challenge, RowUnderDoubt } from './challenge'
import { frequencyChallenges } from './frequencyChallenges'
import { modulationChallenges } from './modulationChallenges'
import { powerChallenges } from './powerChallenges'
import { rowChallenges } from './rowChallenges'
import { scaleChallenges } from './scaleChallenges'
import { signalChallenges } from './signalChallenges'

export { FULL_DEPTH } from './rowChallenges'
export {
  STATEMENTS,
  checkStatement,
  statementKind,
  type CheckedStatement,
  type StatementKind,
} from './statements'
export { sheetContradictions, type SheetContradiction } from './sheetContradictions'
export type { Challenge, MeterScale, RowUnderDoubt } from './challenge'
export { plausibleForms } from './frequencyChallenges'
export { detectionDb, minAudibleV, minSensitivityV, maxSinadDb } from './signalChallenges'

/**
 * Everything about a row that cannot be true, in the order of the rules. Nothing is refused: the technician
 * decides.
 */
export function challenges(row: RowUnderDoubt): Challenge[] {
  return [
    ...scaleChallenges(row),
    ...rowChallenges(row),
    ...powerChallenges(row),
    ...modulationChallenges(row),
    ...frequencyChallenges(row),
    ...signalChallenges(row),
  ]
}
