import { dbToPowerRatio, expandedUncertainty, type Reading } from '../quantity'
import { requirementOf, type RunState } from '../run'
import type { RuleSet } from '../rules'
import { isFullPower, isUnmodulated, type ModelSheet } from '../sheet'
import { currentReadings, type CurrentReading } from './evidence'

/** Missing crest from which on the final is at the end of its headroom [dB] (C05: common practice). */
const FLAT_DB = 0.3
/** At less than this depth a tone does not ask for the headroom. */
const DEEP_ENOUGH = 0.8

/** How high the AM carrier may be left, and what says so. */
export interface CarrierAdvice {
  readonly maxW: number
  readonly by: 'rule' | 'target' | 'quarter-of-pep' | 'as-is'
  /** whether that carrier is how the set was found: nothing was measured after it */
  readonly isFound: boolean
  /** the carrier as it was left [W] */
  readonly asLeftW: number
  /** position of the controls in the words of the row; '' = as usual */
  readonly setting: string
  /** what the final reached with its crest flattened; null = no ceiling was seen beyond doubt */
  readonly headroom: Headroom | null
}

/** What a carrier asks of the final, and what that gives. */
export interface Headroom {
  /** PEP for full modulation: four times the carrier [W] */
  readonly neededW: number
  readonly reachedW: number
  /** modulation that the PEP reached is enough for [ratio], 0..1 */
  readonly mostDepthRatio: number
}

/**
 * The least of the legal limit, the sheet's target, a quarter of the PEP that the final reaches, and the
 * carrier as it was left: of an AM row without modulation, under the controls that the sheet judges the set
 * by.
 *
 * A quarter of PEP counts where the crest is seen to be flattened: a PEP that the depth explains is no
 * ceiling.
 * @returns null when no current AM carrier stands in the record
 */
export function carrierAdvice(sheet: ModelSheet, rules: RuleSet, run: RunState): CarrierAdvice | null {
  const readings = currentReadings(sheet, run)
  const carrier = amCarrier(sheet, readings)
  if (!carrier || !(carrier.taken.reading.value > 0)) return null
  const { window, limit } = requirementOf(
    sheet,
    rules,
    { ...carrier.want, judgeLimit: true },
    { ...carrier.point.state, ...carrier.taken.row.conditions },
  )
  const asLeftW = carrier.taken.reading.value
  const flattened = flattenedBy(carrier, readings)
  const ceilings = [
    { maxW: asLeftW, by: 'as-is' as const },
    ...(limit?.high != null ? [{ maxW: limit.high, by: 'rule' as const }] : []),
    ...(window?.high != null ? [{ maxW: window.high, by: 'target' as const }] : []),
    ...(flattened ? [{ maxW: flattened.pep.value / 4, by: 'quarter-of-pep' as const }] : []),
  ]
  const least = ceilings.reduce((a, b) => (b.maxW < a.maxW ? b : a))
  return {
    ...least,
    isFound: carrier.taken.row.phase === 'as-found',
    asLeftW,
    setting: carrier.taken.row.conditions.setting,
    headroom: headroomOf(carrier.taken.reading, flattened),
  }
}

const isBare = (r: CurrentReading) =>
  r.want.quantity === 'powerW' &&
  r.point.state.keyed &&
  r.taken.row.conditions.mode === 'AM' &&
  isUnmodulated(r.taken.row.conditions) &&
  isFullPower(r.taken.row.conditions) &&
  r.taken.row.conditions.coverage === 'standard'

/**
 * Of several rows the one that something is asked of, under the sheet's own controls, nearest the middle of
 * its channels.
 */
function amCarrier(sheet: ModelSheet, readings: readonly CurrentReading[]): CurrentReading | null {
  const bare = readings.filter(isBare)
  const ofMain = bare.filter(
    r => sheet.main.mode === 'AM' && r.taken.row.conditions.setting === sheet.main.setting,
  )
  const targeted = bare.filter(r => r.want.target !== null)
  const [rows] = [ofMain, targeted].filter(list => list.length > 0)
  if (!rows) return null
  const middle = (sheet.main.fromChannel + sheet.main.toChannel) / 2
  const away = (r: CurrentReading) => Math.abs((r.taken.row.conditions.channel ?? middle) - middle)
  return rows.reduce((a, b) => (away(b) <= away(a) ? b : a))
}

/** What was read with a tone whose crest is missing. */
interface Flattened {
  readonly pep: Reading
  readonly depth: Reading
}

/** PEP = carrier (1 + depth)^2 (C05): less than that is a flattened crest. */
function flattenedBy(carrier: CurrentReading, readings: readonly CurrentReading[]): Flattened | null {
  const alike = readings.filter(
    ({
      taken: {
        row: { conditions: c },
      },
    }) =>
      c.mode === 'AM' &&
      c.toneHz !== null &&
      isFullPower(c) &&
      c.setting === carrier.taken.row.conditions.setting &&
      c.channel === carrier.taken.row.conditions.channel,
  )
  const last = (quantity: Reading['quantity']) =>
    alike.findLast(r => r.want.quantity === quantity)?.taken.reading ?? null
  const [pep, depth] = [last('pepW'), last('depthNegativeRatio')]
  if (!pep || !depth || depth.value < DEEP_ENOUGH) return null
  return pep.value < leastPepW(carrier.taken.reading.value, depth.value) ? { pep, depth } : null
}

/** PEP below which the crest is flattened [W]. */
const leastPepW = (carrierW: number, depth: number) =>
  carrierW * (1 + Math.min(1, depth)) ** 2 * dbToPowerRatio(-FLAT_DB)

/**
 * What the carrier asks of the final: full modulation needs four times its power (C05), and what that gives.
 * @returns null where the crest may be whole after all, within the uncertainty of what was read
 */
function headroomOf(carrier: Reading, flattened: Flattened | null): Headroom | null {
  if (!flattened) return null
  const { pep, depth } = flattened
  const [u, uPep, uDepth] = [carrier, pep, depth].map(expandedUncertainty)
  if (u == null || uPep == null || uDepth == null || [carrier, pep, depth].some(r => r.bound)) return null
  const isProven = pep.value + uPep < leastPepW(carrier.value - u, depth.value - uDepth)
  if (!isProven || pep.value < carrier.value) return null
  return {
    neededW: 4 * carrier.value,
    reachedW: pep.value,
    mostDepthRatio: Math.min(1, Math.sqrt(pep.value / carrier.value) - 1),
  }
}
