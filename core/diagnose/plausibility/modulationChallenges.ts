import { boundToStandard, depthByPep, expandedUncertainty, type Reading } from '../../quantity'
import { readingIn, type Challenge, type RowUnderDoubt } from './challenge'

/** Depth by two ways further apart than this contradict each other (common practice: 10 points). */
const DEPTHS_APART = 0.1
/**
 * PEP over carrier above this on a tone is over-modulation, whatever is said (87 to 114 % lie between 3.5 and
 * 4.6).
 */
const CLEAN_RATIO = 4.6
/**
 * A mean that rises less than this is no sign of anything: carriers move under modulation (general trade
 * knowledge).
 */
const MIN_SHOWN = 1.2
/** A trough from here on is at the bottom. */
const FULL_TROUGH = 0.97
/** 0.2 to 1.3 typed as per cent. */
const LIKE_A_RATIO = [0.002, 0.013] as const
const bound = (r: Reading) => expandedUncertainty(r) ?? 0

/**
 * AM readings that contradict each other: trough deeper than the carrier (P16), mean power that no true mean
 * shows (P05), a ratio typed as per cent (P41), depth against PEP (P03), "clean" with too high a crest (P24).
 * Needs the carrier of the same channel for all but the first. Uncertainties are given the benefit of the
 * doubt.
 */
export function modulationChallenges(row: RowUnderDoubt): Challenge[] {
  if (row.conditions.mode !== 'AM' || row.conditions.toneHz === null) return []
  return [...troughTooDeep(row), ...typedAsRatio(row), ...againstCarrier(row)]
}

function troughTooDeep(row: RowUnderDoubt): Challenge[] {
  const trough = readingIn(row, 'depthNegativeRatio')
  return trough && trough.value - bound(trough) > 1
    ? [{ rule: 'P16', quantity: 'depthNegativeRatio', readRatio: trough.value }]
    : []
}

/**
 * Where a tone is fed in nobody sets a depth of about one per cent: a ratio was typed where per cent are
 * asked.
 */
function typedAsRatio(row: RowUnderDoubt): Challenge[] {
  return (['depthPositiveRatio', 'depthNegativeRatio'] as const).flatMap(quantity => {
    const depth = readingIn(row, quantity)
    return depth?.source === 'typed' && depth.value >= LIKE_A_RATIO[0] && depth.value <= LIKE_A_RATIO[1]
      ? [{ rule: 'P41', quantity, readRatio: depth.value } as const]
      : []
  })
}

function againstCarrier(row: RowUnderDoubt): Challenge[] {
  const { carrierW, carrierBoundW } = row
  if (carrierW === null || carrierW <= 0) return []
  const [mean, pep] = [readingIn(row, 'powerW'), readingIn(row, 'pepW')]
  const depth = readingIn(row, 'depthPositiveRatio') ?? readingIn(row, 'depthNegativeRatio')
  const out: Challenge[] = []
  // Pinched off, the mean may pass 1.5 (C02): only a depth that is read says that it was not.
  const maxMeanW = depth && carrierW * (1 + Math.min(1, depth.value + bound(depth)) ** 2 / 2)
  if (
    mean &&
    depth &&
    depth.value <= 1 &&
    mean.value - bound(mean) > Math.max(maxMeanW!, MIN_SHOWN * carrierW)
  )
    out.push({
      rule: 'P05',
      quantity: 'powerW',
      meanW: mean.value,
      carrierW,
      maxW: carrierW * (1 + depth.value ** 2 / 2),
    })
  if (!pep || pep.bound) return out
  // A meter of which nothing is known gets no benefit of the doubt.
  const pepThere = { value: pep.value, standardUncertainty: boundToStandard(bound(pep)) }
  const carrierThere = { value: carrierW, standardUncertainty: boundToStandard(carrierBoundW) }
  const byDepth = depthByPep(pepThere, carrierThere)
  const byPep = byDepth.value
  const slack = (expandedUncertainty(byDepth) ?? 0) + (depth ? bound(depth) : 0)
  const agrees = depth !== undefined && Math.abs(byPep - depth.value) - slack <= DEPTHS_APART
  // A trough cannot be deeper than the carrier: full, it says nothing of a crest beyond.
  const saysNothing = depth?.quantity === 'depthNegativeRatio' && depth.value >= FULL_TROUGH && byPep > 1
  if (depth && !agrees && !saysNothing)
    out.push({
      rule: 'P03',
      quantity: depth.quantity as 'depthPositiveRatio' | 'depthNegativeRatio',
      readRatio: depth.value,
      byPepRatio: byPep,
    })
  // Crest and PEP that say the same are over-modulation, and no contradiction.
  const crestSays = depth?.quantity === 'depthPositiveRatio' && agrees
  if (!crestSays && (pep.value - bound(pep)) / (carrierW + carrierBoundW) > CLEAN_RATIO)
    out.push({ rule: 'P24', quantity: 'pepW', pepW: pep.value, carrierW, byPepRatio: byPep })
  return out
}
