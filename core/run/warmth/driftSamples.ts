import { GOES_STALE, modulationOf, topicOf, type ModelSheet } from '../../sheet'
import type { History } from '../history'
import type { TakenReading } from '../takenReading'
import { stretches, type WatchedSample } from '../stretch'
import type { DriftSample } from './driftFit'

/** Further from nominal than this is another channel, or no set at all [ratio]. */
const NEAR_RATIO = 3e-4
/** The first count after keying may hold a piece without a signal [ms]. */
const AFTER_KEYING_MS = 1200

/** What may tell a drift: what is watched live and what was taken on the job. */
export interface DriftSources {
  /** live, with what they were taken under */
  readonly carrier: readonly WatchedSample[]
  readonly reference: readonly WatchedSample[]
  readonly history: History
  readonly sinceMs: number
  /** what the carrier should be at the row at hand [Hz] */
  readonly carrierNominalHz: number
}

/**
 * Errors over time, scaled to the transmit frequency: of the reference pin, which can be watched without
 * keying, else of the carrier. Readings between which anything was turned or changed are groups of their own.
 */
export function driftSamples(sheet: ModelSheet, from: DriftSources): DriftSample[] {
  const referenceHz = referenceNominal(sheet)
  const carrier = samplesOf('carrierHz', from.carrier, from, from.carrierNominalHz, 1)
  if (referenceHz === null) return carrier
  const pin = samplesOf('referenceHz', from.reference, from, referenceHz, from.carrierNominalHz / referenceHz)
  return pin.length > 0 && pin.length >= carrier.length / 2 ? pin : carrier
}

interface Grouped {
  readonly atMs: number
  readonly value: number
  readonly group: string
}

function samplesOf(
  quantity: 'carrierHz' | 'referenceHz',
  live: readonly WatchedSample[],
  from: DriftSources,
  nominalHz: number,
  scale: number,
): DriftSample[] {
  const all = [
    ...watched(
      live.filter(s => s.atMs >= from.sinceMs),
      quantity,
    ),
    ...taken(from.history, quantity, from.sinceMs, live[0]?.atMs ?? Infinity),
  ]
  const near = all
    .filter(s => Math.abs(s.value - nominalHz) < nominalHz * NEAR_RATIO)
    .sort((a, b) => a.atMs - b.atMs)
  const names = [...new Set(near.map(s => s.group))]
  return near.map(s => ({
    atS: s.atMs / 1000,
    hz: (s.value - nominalHz) * scale,
    group: names.indexOf(s.group),
  }))
}

/** A key let go and pressed again goes on with the same drift; a step within a stretch does not. */
function watched(live: readonly WatchedSample[], quantity: 'carrierHz' | 'referenceHz'): Grouped[] {
  const steps = new Map<string, number>()
  let before: { alike: string; stretch: string } | null = null
  return stretches(live, quantity).flatMap(({ samples, alike }) => {
    const { stretch, atMs: fromMs } = samples[0]!
    if (before?.alike === alike && before.stretch === stretch) steps.set(alike, (steps.get(alike) ?? 0) + 1)
    const begins = before?.stretch !== stretch
    before = { alike, stretch }
    const settled =
      begins && quantity === 'carrierHz' ? samples.filter(s => s.atMs >= fromMs + AFTER_KEYING_MS) : samples
    return settled.map(s => ({
      atMs: s.atMs,
      value: s.value,
      group: `live ${alike} ${steps.get(alike) ?? 0}`,
    }))
  })
}

/** Readings logged on the job; those that the live list still holds are left to it. */
function taken(
  { readings, turns }: History,
  quantity: 'carrierHz' | 'referenceHz',
  sinceMs: number,
  liveFromMs: number,
): Grouped[] {
  const mine = readings.filter(
    t => t.struck === null && !t.reading.bound && t.reading.quantity === quantity && t.row.atMs >= sinceMs,
  )
  return mine
    .filter(t => t.reading.source === 'typed' || t.row.atMs < liveFromMs)
    .map(t => ({
      atMs: t.row.atMs,
      value: t.reading.value,
      group: `taken ${conditionsOf(t)} ${turnsBefore(t, turns)}`,
    }))
}

/** Alike in everything that moves a frequency but warmth. */
function conditionsOf({ reading, row: { conditions: c } }: TakenReading): string {
  return reading.quantity === 'referenceHz'
    ? ''
    : [c.mode, c.channel, c.lowPower, c.powerPosition, c.coverage, c.setting, modulationOf(c), c.toneHz].join(
        ' ',
      )
}

function turnsBefore(t: TakenReading, turns: History['turns']): number {
  const topic = topicOf(t.reading.quantity, t.row.conditions)
  return turns.filter(turn => turn.order < t.order && movesTopic(turn, topic)).length
}

function movesTopic(turn: History['turns'][number], topic: ReturnType<typeof topicOf>): boolean {
  return GOES_STALE[turn.role].topics.includes(topic)
}

function referenceNominal(sheet: ModelSheet): number | null {
  for (const point of [...sheet.matrix, ...sheet.procedure.flatMap(s => s.points)]) {
    for (const { quantity, target } of point.wants)
      if (quantity === 'referenceHz' && target?.kind === 'nominal-error') return target.nominalHz
  }
  return null
}
