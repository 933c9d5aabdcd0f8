import { expandedUncertainty, type Reading } from '../../quantity'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/**
 * Mean RF above this share of the whole set's DC input is a wrong reading (from memory): a ceiling by the
 * class of the stage, no set reaches it; class E 85 to 90 % in the stage itself.
 */
const MAX_EFFICIENCY = { saturated: 0.85, linear: 0.65 }
/**
 * A whole AM or SSB set makes 35 to 50 % (common practice); from here on up to the ceiling it is worth a
 * word.
 */
const USUAL_EFFICIENCY = 0.55
/**
 * Of a stage that is driven into saturation (FM, carrier): class C 60 to 75 %, the set around it takes its
 * share (common practice).
 */
const USUAL_SATURATED = 0.7
/**
 * Below this share of its input a keyed final does next to nothing: the current speaks for the higher power.
 */
const IDLE_EFFICIENCY = 0.12
/** Factors between the ranges of common wattmeters. */
const RANGE_FACTORS = [3, 5, 6, 10, 30] as const
/** A wrong scale is suspected only of readings beyond this many times the rating. */
const BEYOND_RATING = 2
/**
 * A power that a factor explains lies within this of the rated one: wider, any power is some factor of
 * something.
 */
const EXPLAINED_WITHIN = 0.12

const bound = (r: Reading) => expandedUncertainty(r) ?? 0

/**
 * Powers of a row that cannot be true: mean above PEP (P04), more RF than the supply allows (P06), wrong
 * scale (P10). Uncertainties are given the benefit of the doubt.
 */
export function powerChallenges(row: RowUnderDoubt): Challenge[] {
  const mean = readingIn(row, 'powerW')
  return mean
    ? [...meanAbovePep(mean, readingIn(row, 'pepW')), ...efficiency(mean, row), ...wrongScale(mean, row)]
    : []
}

function meanAbovePep(mean: Reading, pep: Reading | undefined): Challenge[] {
  if (!pep || pep.bound === 'at-least' || mean.value - bound(mean) <= pep.value + bound(pep)) return []
  return [{ rule: 'P04', quantity: 'pepW', meanW: mean.value, pepW: pep.value }]
}

/** DC input of the whole set [W], or null: not read. */
function inputOf(row: RowUnderDoubt): number | null {
  const current = readingIn(row, 'supplyA')
  const volts = readingIn(row, 'supplyV')?.value ?? row.conditions.supplyV
  return current && volts !== null ? volts * (current.value + bound(current)) : null
}

/**
 * The stage that makes the power decides what is impossible; what lies between that and the usual is said.
 */
function efficiency(mean: Reading, row: RowUnderDoubt): Challenge[] {
  const inputW = inputOf(row)
  if (inputW === null || mean.bound === 'at-most') return []
  const { mode } = row.conditions
  const isLinear = mode === 'USB' || mode === 'LSB'
  const maxRatio = isLinear ? MAX_EFFICIENCY.linear : MAX_EFFICIENCY.saturated
  const minW = mean.value - bound(mean)
  if (minW > maxRatio * inputW)
    return [{ rule: 'P06', quantity: 'powerW', meanW: mean.value, inputW, maxRatio, isUnusual: false }]
  // "At least" already breaks the ceiling or says nothing: what lies above it nobody read.
  const isUnusual =
    !mean.bound && minW > (isLinear || mode === 'AM' ? USUAL_EFFICIENCY : USUAL_SATURATED) * inputW
  return isUnusual
    ? [{ rule: 'P06', quantity: 'powerW', meanW: mean.value, inputW, maxRatio, isUnusual }]
    : []
}

function wrongScale(mean: Reading, row: RowUnderDoubt): Challenge[] {
  const asked = row.askedOf('powerW')
  const ratedW = asked?.limit?.high ?? asked?.window?.high
  if (ratedW == null || mean.bound || mean.value <= BEYOND_RATING * ratedW || isSupported(mean, row))
    return []
  const factor = RANGE_FACTORS.find(f => Math.abs(mean.value / f / ratedW - 1) <= EXPLAINED_WITHIN)
  return factor
    ? [{ rule: 'P10', quantity: 'powerW', readW: mean.value, factor, likelyW: mean.value / factor }]
    : []
}

/**
 * Another reading that says the power is real: another meter, another row's current, or this row's, with
 * which the lower power would be next to nothing.
 */
function isSupported(mean: Reading, row: RowUnderDoubt): boolean {
  const current = readingIn(row, 'supplyA')
  if (current && current.value - bound(current) > row.sheet.keyedA.high) return true
  if (row.provenW !== null && mean.value - bound(mean) <= row.provenW) return true
  if (row.supportedW !== null && mean.value <= row.supportedW) return true
  const inputW = inputOf(row)
  const asked = row.askedOf('powerW')
  const ratedW = asked?.limit?.high ?? asked?.window?.high
  return inputW !== null && ratedW != null && ratedW < IDLE_EFFICIENCY * inputW
}
