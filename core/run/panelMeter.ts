import { expandedUncertainty, powerRatioToDb, type Reading } from '../quantity'
import { isUnmodulated, sameControls, type SetState } from '../sheet'
import type { RowState } from './matrixState'

/** A panel meter agrees with the bench within this ratio (common practice). */
const AGREES_RATIO = 1.22
/** Levels nearer than this say no more than one of them [dB]. */
const LEVELS_APART_DB = 3

/** What the set's own meter shows, beside what the bench reads under the same controls. */
export interface PanelLevel {
  readonly power: Reading
  readonly panel: Reading
  /** panel over bench */
  readonly ratio: number
}

/** The set's own power meter at two levels. */
export interface PanelMeter {
  readonly low: PanelLevel
  readonly high: PanelLevel
  /**
   * 'scale' = off by one ratio at both, as its preset would be; 'low-end' = right at the high level only, and
   * 'not-linear' = by two ratios, which no preset puts right; null = the uncertainties do not tell
   */
  readonly verdict: 'agrees' | 'scale' | 'low-end' | 'not-linear' | null
}

/**
 * The set's own meter against the bench's at its lowest and its highest level.
 * @param rows of one phase
 * @returns null = it was read at one level only, or beyond a scale
 */
export function panelMeter(rows: readonly RowState[]): PanelMeter | null {
  const levels = rows
    .flatMap(row => levelOf(row, rows) ?? [])
    .toSorted((a, b) => a.power.value - b.power.value)
  const [low, high] = [levels.at(0), levels.at(-1)]
  if (!low || !high || powerRatioToDb(high.power.value / low.power.value) < LEVELS_APART_DB) return null
  return { low, high, verdict: verdictOf(low, high) }
}

/**
 * In the row itself, or in that of the carrier under the same controls. A carrier without modulation only: of
 * anything else a panel meter shows another part than the bench.
 */
function levelOf(row: RowState, rows: readonly RowState[]): PanelLevel | null {
  const { state } = row.point
  if (!isBareCarrier(state)) return null
  const carrier = rows.find(
    ({ point: { state: s } }) => isBareCarrier(s) && s.channel === state.channel && sameControls(s, state),
  )
  const panel = readingIn(row, 'panelPowerW')
  const power = readingIn(row, 'powerW') ?? readingIn(carrier, 'powerW')
  return panel && power ? { panel, power, ratio: panel.value / power.value } : null
}

const isBareCarrier = (s: SetState): boolean =>
  s.keyed && s.mode !== 'USB' && s.mode !== 'LSB' && isUnmodulated(s)

/** A figure: neither a bound nor nothing at all, and not stale. */
function readingIn(row: RowState | undefined, quantity: 'panelPowerW' | 'powerW'): Reading | null {
  const latest = row?.stale ? null : row?.cells.find(c => c.want.quantity === quantity)?.latest
  return latest && latest.reading.bound === undefined && latest.reading.value > 0 ? latest.reading : null
}

function verdictOf(low: PanelLevel, high: PanelLevel): PanelMeter['verdict'] {
  const [slackLow, slackHigh] = [slackOf(low), slackOf(high)]
  if (slackLow === null || slackHigh === null) return null
  const bend = apart(low.ratio, high.ratio)
  const slack = 1 + Math.hypot(slackLow, slackHigh)
  const [isLowOff, isHighOff] = [low, high].map(l => apart(l.ratio, 1) > AGREES_RATIO)
  if (bend / slack > AGREES_RATIO) return isHighOff ? 'not-linear' : 'low-end'
  if (bend * slack > AGREES_RATIO || isLowOff !== isHighOff) return null
  return isLowOff ? 'scale' : 'agrees'
}

/** How far two ratios are apart, whichever is the larger one; 1 = alike. */
const apart = (a: number, b: number): number => Math.max(a / b, b / a)

/** What both meters may be off by, of the ratio; null = not known. */
function slackOf({ power, panel }: PanelLevel): number | null {
  const [ofPower, ofPanel] = [expandedUncertainty(power), expandedUncertainty(panel)]
  return ofPower === null || ofPanel === null
    ? null
    : Math.hypot(ofPower / power.value, ofPanel / panel.value)
}
