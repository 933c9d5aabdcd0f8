import { depthByPep, expandedUncertainty, type Measured, type Reading } from '../quantity'
import { isUnmodulated, modulationOf, sameControls, type MeasurePoint, type SetState } from '../sheet'
import type { RowState } from './matrixState'
import { figureIn, readingIn } from './rowFigure'

/** What meters show while somebody speaks on AM. Nothing of it is a measure of depth: a steady tone is. */
export interface SpeechReading {
  readonly point: MeasurePoint
  readonly carrier: Reading
  readonly mean: Reading | null
  readonly pep: Reading | null
  /** depth that the PEP would stand for; null = no PEP, or none above the carrier */
  readonly byPep: Measured | null
  /** the deepest that was read with a tone on the same channel under the same controls */
  readonly tone: Reading | null
}

/**
 * Rows of one phase that were read with speech on AM, each beside the carrier under the same controls.
 * Rows without that carrier, or that are stale, are left out.
 */
export function speechReadings(rows: readonly RowState[]): SpeechReading[] {
  return rows.flatMap(row => {
    const { state } = row.point
    if (row.stale || !state.keyed || state.mode !== 'AM' || modulationOf(state) !== 'speech') return []
    // Sheets from before there was a field for it tell speech apart in the controls.
    const alike = alikeIn(rows, { ...state, setting: state.setting.replace(/,? ?voice$/, '') })
    const carrier = carrierOf(alike)
    const [mean, pep] = [readingIn(row, 'powerW'), figureIn(row, 'pepW')]
    if (!carrier || (!mean && !pep)) return []
    const tones = alike.filter(r => modulationOf(r.point.state) === 'tone')
    const deepest = tones.flatMap(r => toneDepth(r) ?? []).toSorted((a, b) => b.value - a.value)
    const byPep = pep && crestOver(pep, carrier)
    return [{ point: row.point, carrier, mean, pep, byPep, tone: deepest[0] ?? null }]
  })
}

/** A steady tone whose depth nobody read: what its PEP stands for, if that is a crest. */
export interface ToneByPep {
  readonly point: MeasurePoint
  readonly carrier: Reading
  readonly pep: Reading
  readonly byPep: Measured
}

/** Rows of one phase with a steady tone on AM, each beside the carrier under the same controls. */
export function tonesByPep(rows: readonly RowState[]): ToneByPep[] {
  return rows.flatMap(row => {
    const { state } = row.point
    if (row.stale || !state.keyed || state.mode !== 'AM' || modulationOf(state) !== 'tone') return []
    const [carrier, pep] = [carrierOf(alikeIn(rows, state)), figureIn(row, 'pepW')]
    const byPep = carrier && pep && !toneDepth(row) ? crestOver(pep, carrier) : null
    return byPep ? [{ point: row.point, carrier: carrier!, pep: pep!, byPep }] : []
  })
}

const alikeIn = (rows: readonly RowState[], at: SetState): readonly RowState[] =>
  rows.filter(
    ({ stale, point: { state: s } }) => !stale && s.keyed && s.channel === at.channel && sameControls(s, at),
  )

const carrierOf = (alike: readonly RowState[]): Reading | null =>
  figureIn(
    alike.find(r => isUnmodulated(r.point.state) && readingIn(r, 'powerW')),
    'powerW',
  )

/** Nothing where the PEP is not above the carrier beyond both meters: nobody may have spoken. */
function crestOver(pep: Reading, carrier: Reading): Measured | null {
  const depth = depthByPep(pep, carrier)
  return depth.value > (expandedUncertainty(depth) ?? 0) ? depth : null
}

/** The crest that the PEP is held against, where it was read. */
const toneDepth = (row: RowState): Reading | null =>
  readingIn(row, 'depthPositiveRatio') ?? readingIn(row, 'depthNegativeRatio')
