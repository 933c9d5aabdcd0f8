import { t } from '#shared/i18n'
import type { CheckedStatement, StatementKind } from '#core/diagnose'
import { groupDigits } from '#core/quantity'

const shown = ({ againstValue, againstUnit }: CheckedStatement) =>
  Number.isFinite(againstValue)
    ? `${groupDigits(againstValue, againstUnit === '' || Math.abs(againstValue) >= 100 ? 0 : 2)} ${againstUnit}`.trim()
    : t('statement.noNumber')

/** What a statement comes to, in a sentence. */
export function statementWords(kind: StatementKind, checked: CheckedStatement): string {
  const number = shown(checked)
  const right = checked.verdict === 'possible'
  switch (kind.id) {
    case 'sideband':
      if (checked.verdict === 'doubtful') return t('statement.moreThanFullModulation', { number })
      return right
        ? t('statement.possibleMaxEach', { number })
        : t('statement.impossibleFullModulationPutsAtMost', { number })
    case 'swr':
      return right ? `SWR ${number}.` : t('statement.impossibleReflectedExceedsForwardPowerSwappe')
    case 'harmonic':
      return right ? t('statement.correct') : t('statement.itIsNumberTheFundamentalCounts', { number })
    case 'span':
      return right ? t('statement.theSpanContainsThem') : t('statement.theseChannelsNeed', { number })
    case 'off-or-moved':
      return right ? t('statement.theTwoAreDifferentQuantitiesAnd') : t('statement.theErrorAndTheMoveHave')
    case 'bessel':
      if (right) return t('statement.firstNullCorrect')
      return checked.verdict === 'doubtful'
        ? t('statement.thisIsTheSecondNullThe', { number })
        : t('statement.noNullThereTheFirstIs', { number })

    case 'drift':
      return right ? t('statement.settlesAt', { number }) : t('statement.thisDriftDoesNotSettleNo')
    case 'per-device':
      return right ? t('statement.withinTheRating') : t('statement.impossibleTogetherTheyGive', { number })
    case 'lead':
      return right
        ? t('statement.apartTheLeadIsNotThe', { number })
        : t('statement.apartRfOnTheMeterOr', { number })
    default:
      return checked.verdict
  }
}
