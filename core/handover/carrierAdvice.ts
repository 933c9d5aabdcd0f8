import { dbToPowerRatio, type Reading } from '../quantity'
import { requirementOf, type RunState } from '../run'
import type { RuleSet } from '../rules'
import type { ModelSheet } from '../sheet'
import { currentReadings, type CurrentReading } from './evidence'

/** Missing crest from which on the final is at the end of its headroom [dB] (C05: common practice). */
const FLAT_DB = 0.3
/** At less than this depth a tone does not ask for the headroom. */
const DEEP_ENOUGH = 0.8

/** How high the AM carrier may be left, and what says so. */
export interface CarrierAdvice {
  readonly maxW: number
  readonly by: 'rule' | 'target' | 'quarter-of-pep' | 'as-left'
  /** the carrier as it was left [W] */
  readonly asLeftW: number
  /** position of the controls in the words of the row; '' = as usual */
  readonly setting: string
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
  const ceilings = [
    { maxW: asLeftW, by: 'as-left' as const },
    ...(limit?.high != null ? [{ maxW: limit.high, by: 'rule' as const }] : []),
    ...(window?.high != null ? [{ maxW: window.high, by: 'target' as const }] : []),
    ...quarterOfPep(carrier, readings),
  ]
  const least = ceilings.reduce((a, b) => (b.maxW < a.maxW ? b : a))
  return { ...least, asLeftW, setting: carrier.taken.row.conditions.setting }
}

const isBare = (r: CurrentReading) =>
  r.want.quantity === 'powerW' &&
  r.point.state.keyed &&
  r.taken.row.conditions.mode === 'AM' &&
  r.taken.row.conditions.toneHz === null &&
  !r.taken.row.conditions.lowPower &&
  r.taken.row.conditions.coverage === 'standard' &&
  !r.taken.row.conditions.setting.includes('voice')

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

function quarterOfPep(
  carrier: CurrentReading,
  readings: readonly CurrentReading[],
): { maxW: number; by: 'quarter-of-pep' }[] {
  const alike = readings.filter(
    ({
      taken: {
        row: { conditions: c },
      },
    }) =>
      c.mode === 'AM' &&
      c.toneHz !== null &&
      c.setting === carrier.taken.row.conditions.setting &&
      c.channel === carrier.taken.row.conditions.channel,
  )
  const last = (quantity: Reading['quantity']) =>
    alike.findLast(r => r.want.quantity === quantity)?.taken.reading.value ?? null
  const [pepW, depth] = [last('pepW'), last('depthNegativeRatio')]
  if (pepW === null || depth === null || depth < DEEP_ENOUGH) return []
  const unclippedW = carrier.taken.reading.value * (1 + Math.min(1, depth)) ** 2
  return pepW < unclippedW * dbToPowerRatio(-FLAT_DB) ? [{ maxW: pepW / 4, by: 'quarter-of-pep' }] : []
}
