import { expandedUncertainty, type Quantity, type Reading } from '../../quantity'
import {
  TAKEN_AGAIN,
  requirementOf,
  type ChallengeKept,
  type History,
  type RowConditions,
  type RowState,
} from '../../run'
import type { RuleSet } from '../../rules'
import { isUnmodulated, sameControls, samePower, type MeasurePoint, type ModelSheet } from '../../sheet'
import { FULL_DEPTH, challenges, type Challenge, type MeterScale, type RowUnderDoubt } from '../plausibility'

/** A row up to this much above a proven one is proven with it. */
const LIKE_PROVEN = 1.3
/** Two meters that agree within this support each other [ratio]. */
const AGREES = 0.2

/** What a row is held against. */
export interface DoubtContext {
  readonly sheet: ModelSheet
  readonly rules: RuleSet
  /** matrix of the phase: carriers, other modes, other rows */
  readonly rows: readonly RowState[]
  readonly history: History
  readonly kept: readonly ChallengeKept[]
  readonly meterOf: (instrument: string, quantity: Quantity) => MeterScale | null
}

/** Why a reading cannot be true, the reading, and why it was kept all the same; null = open. */
export interface ChallengedReading {
  readonly challenge: Challenge
  readonly readingId: string
  readonly keptBecause: string | null
}

/** What is doubtful about a row that is about to be kept, or was. */
export function challengedReadings(
  context: DoubtContext,
  point: MeasurePoint,
  conditions: RowConditions,
  readings: readonly Reading[],
): ChallengedReading[] {
  return challenges(underDoubt(context, point, conditions, readings)).map(challenge => {
    const reading = readings.find(r => r.quantity === challenge.quantity) ?? readings[0]!
    const keptBecause =
      context.kept.findLast(k => k.readingId === reading.id && k.rule === challenge.rule)?.reason ?? null
    return { challenge, readingId: reading.id, keptBecause }
  })
}

/** The same for a row of the matrix, from the readings that count in it. */
export function challengedInRow(context: DoubtContext, row: RowState): ChallengedReading[] {
  if (!row.row) return []
  return challengedReadings(
    context,
    row.point,
    row.row.conditions,
    row.cells.flatMap(c => (c.latest ? [c.latest.reading] : [])),
  )
}

function underDoubt(
  context: DoubtContext,
  point: MeasurePoint,
  conditions: RowConditions,
  readings: readonly Reading[],
): RowUnderDoubt {
  const { sheet, rules, rows, meterOf } = context
  const askedOf = (quantity: Quantity) => {
    const want = point.wants.find(w => w.quantity === quantity)
    return want ? requirementOf(sheet, rules, want, point.state) : null
  }
  return {
    sheet,
    point,
    conditions,
    readings,
    askedOf,
    ...carrierOn(rows, point),
    earlier: q => earlier(context, point, readings, q),
    meterOf: r => (r.instrument === null ? null : meterOf(r.instrument, r.quantity)),
    pepMostW: pepReached(rows, point),
    provenW: provenPower(sheet, rows),
    supportedW: supportedPower(context, point, readings),
    otherFull: otherFull(rows, point),
  }
}

/**
 * The unmodulated carrier that a modulated row is held against: same channel, mode and controls; the sheets
 * that came before there was a field for it tell speech apart in the controls.
 */
function carrierOn(
  rows: readonly RowState[],
  point: MeasurePoint,
): Pick<RowUnderDoubt, 'carrierW' | 'carrierBoundW'> {
  const state = { ...point.state, setting: point.state.setting.replace(/,? ?voice$/, '') }
  const row = rows.find(
    ({ point: { state: s } }) =>
      s.keyed && isUnmodulated(s) && s.channel === state.channel && sameControls(s, state),
  )
  const reading = row?.cells.find(c => c.want.quantity === 'powerW')?.latest?.reading
  return { carrierW: valueIn(row, 'powerW'), carrierBoundW: (reading && expandedUncertainty(reading)) ?? 0 }
}

/** The reading of the same row before, when nothing was turned in between. */
function earlier(
  { history, rows }: DoubtContext,
  point: MeasurePoint,
  readings: readonly Reading[],
  quantity: Quantity,
): Reading | null {
  const phase = rows.find(r => r.row)?.row?.phase
  // A reading that was taken again is struck for the later one, and still shows whether the two agree.
  const before = history.readings.filter(
    t =>
      (t.struck === null || t.struck === TAKEN_AGAIN) &&
      t.row.stepId === null &&
      t.row.phase === phase &&
      t.row.pointId === point.id &&
      t.reading.quantity === quantity,
  )
  const now = before.findIndex(t => readings.some(r => r.id === t.reading.id))
  const previous = before[(now < 0 ? before.length : now) - 1]
  return previous && previous.staleBy.length === 0 ? previous.reading : null
}

/**
 * The largest PEP that the same mode reached under the same controls, at the same drive or more: a lower one
 * is no ceiling.
 */
function pepReached(rows: readonly RowState[], point: MeasurePoint): number | null {
  const { toneHz, toneV, channel } = point.state
  if (toneHz === null) return null
  const alike = rows.filter(
    ({ point: p }) =>
      p.id !== point.id &&
      sameControls(p.state, point.state) &&
      p.state.channel === channel &&
      p.state.toneHz !== null &&
      (p.state.toneV ?? 0) >= (toneV ?? 0),
  )
  const peps = alike.flatMap(r => valueIn(r, 'pepW') ?? [])
  return peps.length > 0 ? Math.max(...peps) : null
}

/**
 * A runaway set reads many times its rating in every row; where the current was read as well it is no slip of
 * the range.
 */
function provenPower(sheet: ModelSheet, rows: readonly RowState[]): number | null {
  const powers = rows
    .filter(r => (valueIn(r, 'supplyA') ?? 0) > sheet.keyedA.high)
    .flatMap(r => valueIn(r, 'powerW') ?? [])
  return powers.length > 0 ? Math.max(...powers) * LIKE_PROVEN : null
}

/**
 * Largest power that a reading of another meter supports: of the same controls as a mean, or a PEP that is no
 * less.
 */
function supportedPower(
  { rows, history }: DoubtContext,
  point: MeasurePoint,
  readings: readonly Reading[],
): number | null {
  const mean = readings.find(r => r.quantity === 'powerW')
  if (!mean) return null
  const isOther = (r: Reading) =>
    r.instrument !== null && mean.instrument !== null && r.instrument !== mean.instrument
  const inRow = readings.filter(r => r.quantity === 'pepW')
  const onJob = history.readings
    .filter(
      t =>
        t.struck === null &&
        t.row.conditions.mode === point.state.mode &&
        t.row.conditions.setting === point.state.setting &&
        samePower(t.row.conditions, point.state),
    )
    .map(t => t.reading)
  const inRows = rows
    .filter(r => sameControls(r.point.state, point.state))
    .flatMap(r => r.cells.flatMap(c => (c.latest ? [c.latest.reading] : [])))
  const supports = [...inRow, ...onJob, ...inRows].filter(isOther).filter(r => {
    if (r.quantity === 'powerW') return Math.abs(r.value / mean.value - 1) <= AGREES
    return r.quantity === 'pepW' && r.value >= mean.value * (1 - AGREES)
  })
  return supports.length > 0 ? mean.value : null
}

function otherFull(rows: readonly RowState[], point: MeasurePoint): { title: string; pepW: number }[] {
  const alike = rows.filter(
    r =>
      r.point.id !== point.id &&
      r.point.state.mode === point.state.mode &&
      r.point.state.setting === point.state.setting &&
      samePower(r.point.state, point.state),
  )
  return alike
    .filter(r => (valueIn(r, 'depthNegativeRatio') ?? valueIn(r, 'depthPositiveRatio') ?? 0) >= FULL_DEPTH)
    .flatMap(r => {
      const pepW = valueIn(r, 'pepW')
      return pepW ? [{ title: r.point.title, pepW }] : []
    })
}

function valueIn(row: RowState | undefined, quantity: Quantity): number | null {
  return row?.cells.find(c => c.want.quantity === quantity)?.latest?.reading.value ?? null
}
