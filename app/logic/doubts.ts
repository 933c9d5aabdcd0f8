import { FULL_DEPTH, challenges, type MeterScale, type RowUnderDoubt } from '../../core/diagnose'
import type { Quantity, Reading } from '../../core/quantity'
import { asked, type ChallengeKept, type History, type RowConditions, type RowState } from '../../core/run'
import type { RuleSet } from '../../core/rules'
import type { MeasurePoint, ModelSheet } from '../../core/sheet'
import { challengeWords } from './challengeWords'

/** A row up to this much above a proven one is proven with it. */
const LIKE_PROVEN = 1.3

/** Why a reading cannot be true, and why it was kept all the same. */
export interface Doubt { readonly rule: string, readonly words: string, readonly readingId: string, readonly keptBecause: string | null }

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

/** What an open job and the instruments of the bench know, as the screens have them. */
interface OpenJob { readonly sheet: ModelSheet | null, readonly rules: RuleSet | null, readonly run: { readonly history: History } | null, readonly keptChallenges: readonly ChallengeKept[] }

/** The context of the open job. */
export function doubting(job: OpenJob, { meterOf }: Pick<DoubtContext, 'meterOf'>, rows: () => readonly RowState[]): () => DoubtContext {
  return () => ({ sheet: job.sheet!, rules: job.rules!, rows: rows(), history: job.run!.history, kept: job.keptChallenges, meterOf })
}

/** What is doubtful about a row that is about to be kept, or was. */
export function doubtsOf(context: DoubtContext, point: MeasurePoint, conditions: RowConditions, readings: readonly Reading[]): Doubt[] {
  const { sheet, rules, rows, kept, meterOf } = context
  const askedOf = (quantity: Quantity) => {
    const want = point.wants.find(w => w.quantity === quantity)
    return want ? asked(sheet, rules, want, point.state) : null
  }
  const row: RowUnderDoubt = {
    sheet, point, conditions, readings, askedOf, carrierW: carrierOn(rows, point), earlier: q => earlier(context, point, readings, q),
    meterOf: r => r.instrument === null ? null : meterOf(r.instrument, r.quantity), pepMostW: sidebandPep(rows), provenW: provenPower(sheet, rows), otherFull: otherFull(rows, point),
  }
  return challenges(row).map((c) => {
    const reading = readings.find(r => r.quantity === c.quantity) ?? readings[0]!
    return { rule: c.rule, words: challengeWords(c), readingId: reading.id, keptBecause: kept.findLast(k => k.readingId === reading.id && k.rule === c.rule)?.reason ?? null }
  })
}

/** The same for a row of the matrix, from the readings that count in it. */
export function rowDoubts(context: DoubtContext, row: RowState): Doubt[] {
  return row.row ? doubtsOf(context, row.point, row.row.conditions, row.cells.flatMap(c => c.latest ? [c.latest.reading] : [])) : []
}

/** The unmodulated carrier that a modulated row is held against: same channel, mode and controls. */
function carrierOn(rows: readonly RowState[], point: MeasurePoint): number | null {
  const { channel, mode, lowPower, coverage, setting } = point.state
  const row = rows.find(({ point: { state: s } }) => s.keyed && s.toneHz === null && s.channel === channel && s.mode === mode && s.lowPower === lowPower && s.coverage === coverage && s.setting === setting)
  return valueIn(row, 'powerW')
}

/** The reading of the same row before, when nothing was turned in between. */
function earlier({ history, rows }: DoubtContext, point: MeasurePoint, readings: readonly Reading[], quantity: Quantity): Reading | null {
  const phase = rows.find(r => r.row)?.row?.phase
  const before = history.readings.filter(t => t.struck === null && t.row.stepId === null && t.row.phase === phase && t.row.pointId === point.id && t.reading.quantity === quantity)
  const now = before.findIndex(t => readings.some(r => r.id === t.reading.id))
  const previous = before[(now < 0 ? before.length : now) - 1]
  return previous && previous.staleBy.length === 0 ? previous.reading : null
}

/** What the same final reached on SSB. */
function sidebandPep(rows: readonly RowState[]): number | null {
  const peps = rows.filter(r => r.point.state.mode === 'USB' || r.point.state.mode === 'LSB').flatMap(r => valueIn(r, 'pepW') ?? [])
  return peps.length > 0 ? Math.max(...peps) : null
}

/** A runaway set reads many times its rating in every row; where the current was read as well it is no slip of the range. */
function provenPower(sheet: ModelSheet, rows: readonly RowState[]): number | null {
  const powers = rows.filter(r => (valueIn(r, 'supplyA') ?? 0) > sheet.keyedA.high).flatMap(r => valueIn(r, 'powerW') ?? [])
  return powers.length > 0 ? Math.max(...powers) * LIKE_PROVEN : null
}

function otherFull(rows: readonly RowState[], point: MeasurePoint): { title: string, pepW: number }[] {
  return rows.filter(r => r.point.id !== point.id && r.point.state.mode === point.state.mode && r.point.state.setting === point.state.setting && r.point.state.lowPower === point.state.lowPower && (valueIn(r, 'depthNegativeRatio') ?? 0) >= FULL_DEPTH)
    .flatMap((r) => {
      const pepW = valueIn(r, 'pepW')
      return pepW ? [{ title: r.point.title, pepW }] : []
    })
}

function valueIn(row: RowState | undefined, quantity: Quantity): number | null {
  return row?.cells.find(c => c.want.quantity === quantity)?.latest?.reading.value ?? null
}
