import type { Quantity } from '#core/quantity'
import { quantityLabel } from '#shared/words/quantityWords'
import { t, type MessageCode, translated } from '#shared/i18n'
import type { Domain, Evidence, NextTest, Observable, RankedCause, Weighing } from '#core/diagnose'
import { causeOf } from '#core/diagnose'
import { INSTRUMENT_PROFILES, profileQuantity } from '#core/instrument'
import { showAgainst } from '#shared/words/verdictWords'

export const DOMAIN_WORDS: Record<Domain, MessageCode> = {
  supply: 'findings.supply',
  power: 'findings.power',
  frequency: 'common.frequency',
  modulation: 'findings.modulation',
  receiver: 'findings.receiver',
}

/** The outcome that a piece of evidence mostly says, with its share when it is not sure. */
export function evidenceWords({ observable, soft }: Evidence): string {
  const [outcome, share] = Object.entries(soft).sort((a, b) => b[1] - a[1])[0]!
  const sure = share < 0.9 ? ` ${t('findings.sure', { share: Math.round(share * 100) })}` : ''
  return `${observable.question}: ${observable.outcomes[outcome]}${sure}`
}

/** The numbers that it was read from. */
export function usedWords({ used, byHand }: Evidence): string {
  if (byHand) return t('findings.answeredByHand')
  return used
    .map(u => {
      const shown = showAgainst(u, u.quantity, u.nominalHz)
      return `${translated(u.rowTitle)}: ${shown.value}\u202f${shown.unit}`
    })
    .join('; ')
}

/** Half of a unit of log odds: less than that is neither for nor against. */
const WORTH_SAYING = 0.4

export function weighed(ranked: RankedCause): { for: Weighing[]; against: Weighing[] } {
  const strongest = [...ranked.weighings].sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))
  return {
    for: strongest.filter(w => w.weight > WORTH_SAYING),
    against: strongest.filter(w => w.weight < -WORTH_SAYING),
  }
}

export function causeTitle(ranked: RankedCause): string {
  return ranked.cause?.title ?? t('findings.causeNotInTheCatalogue')
}

/** Probability as the screen says it: no digits that the catalogue cannot justify. */
export function probabilityWords(probability: number): string {
  if (probability >= 0.95) return t('findings.veryLikely')
  return probability < 0.05
    ? t('findings.underFivePercent')
    : t('findings.about', { probability: Math.round(probability * 20) * 5 })
}

/** What an answer would put in front. */
export function leadsWords(test: NextTest, outcome: string): string {
  const lead = test.leads[outcome]
  return lead ? translated(causeOf(lead).title) : t('findings.noneOfTheKnownCauses')
}

function instrumentThatReads(q: Quantity): string | null {
  const name = INSTRUMENT_PROFILES.find(p => profileQuantity(p, q))?.name
  return name === undefined ? null : translated(name)
}

/** Which kind of instrument would answer a question that the bench cannot. */
export function wouldTake(observable: Observable): string {
  if (observable.source.kind !== 'readings') return ''
  const profiles = observable.source.quantities.map(q => instrumentThatReads(q) ?? quantityLabel(q))
  return [...new Set(profiles)].join(', ')
}
