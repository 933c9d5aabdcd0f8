import { standardToBound, type Reading } from '../../quantity'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/** Mean RF above this share of the whole set's DC input is a wrong reading (from memory; a ceiling, no set reaches it). */
const MOST_EFFICIENCY = 0.7
/** Factors between the ranges of common wattmeters. */
const RANGE_FACTORS = [3, 5, 6, 10, 30] as const
/** A wrong scale is suspected only of readings beyond this many times the rating. */
const BEYOND_RATING = 2
/** A power that a factor explains lies within this of the rated one. */
const EXPLAINED_WITHIN = 0.35

const bound = (r: Reading) => r.standardUncertainty === null ? 0 : standardToBound(r.standardUncertainty)

/**
 * Powers of a row that cannot be true: mean above PEP (P04), more RF than the supply allows (P06), wrong scale (P10).
 * Uncertainties are given the benefit of the doubt.
 */
export function powerChallenges(row: RowUnderDoubt): Challenge[] {
  const mean = readingIn(row, 'powerW')
  return mean ? [...meanAbovePep(mean, readingIn(row, 'pepW')), ...efficiency(mean, row), ...wrongScale(mean, row)] : []
}

function meanAbovePep(mean: Reading, pep: Reading | undefined): Challenge[] {
  if (!pep || mean.value - bound(mean) <= pep.value + bound(pep)) return []
  return [{ rule: 'P04', quantity: 'pepW', meanW: mean.value, pepW: pep.value }]
}

function efficiency(mean: Reading, row: RowUnderDoubt): Challenge[] {
  const current = readingIn(row, 'supplyA')
  const volts = readingIn(row, 'supplyV')?.value ?? row.conditions.supplyV
  if (!current || volts === null) return []
  const inputW = volts * (current.value + bound(current))
  return mean.value - bound(mean) > MOST_EFFICIENCY * inputW ? [{ rule: 'P06', quantity: 'powerW', meanW: mean.value, inputW, mostRatio: MOST_EFFICIENCY }] : []
}

function wrongScale(mean: Reading, row: RowUnderDoubt): Challenge[] {
  const asked = row.askedOf('powerW')
  const ratedW = asked?.limit?.high ?? asked?.window?.high
  if (ratedW == null || mean.value <= BEYOND_RATING * ratedW) return []
  // A current beyond anything healthy says that the power is real, here or in another row.
  const current = readingIn(row, 'supplyA')
  if (current && current.value - bound(current) > row.sheet.keyedA.high) return []
  if (row.provenW !== null && mean.value - bound(mean) <= row.provenW) return []
  const factor = RANGE_FACTORS.find(f => Math.abs(mean.value / f / ratedW - 1) <= EXPLAINED_WITHIN)
  return factor ? [{ rule: 'P10', quantity: 'powerW', readW: mean.value, factor, likelyW: mean.value / factor }] : []
}
