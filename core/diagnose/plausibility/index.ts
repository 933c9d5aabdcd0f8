import type { Challenge, RowUnderDoubt } from './challenge'
import { frequencyChallenges } from './frequencyChallenges'
import { modulationChallenges } from './modulationChallenges'
import { powerChallenges } from './powerChallenges'
import { signalChallenges } from './signalChallenges'

export type { Challenge, RowUnderDoubt } from './challenge'
export { plausibleForms } from './frequencyChallenges'
export { leastSensitivityV, mostSinadDb } from './signalChallenges'

/** Everything about a row that cannot be true, in the order of the rules. Nothing is refused: the technician decides. */
export function challenges(row: RowUnderDoubt): Challenge[] {
  return [...powerChallenges(row), ...modulationChallenges(row), ...frequencyChallenges(row), ...signalChallenges(row)]
}
