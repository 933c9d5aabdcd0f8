import { describe, expect, it } from 'vitest'
import { randomFrom } from '../../../test/fixtures/faults/random'
import { rowTaken, stepRow, turned } from '../../../test/fixtures/jobEvents'
import { modelSheet } from '../../sheet'
import { history, type History } from '../history'
import type { JobEvent } from '../jobEvent'
import type { WatchedSample } from '../stretch'
import { driftSamples, fitDrift, warmGate } from './index'

const FM = modelSheet('osmund-27f')
const LX8 = modelSheet('larkfield-lx8')
const TX_HZ = 27_791_250
const NONE: History = { readings: [], turns: [], questions: [] }
const from = { carrier: [], reference: [], history: NONE, sinceMs: 0, carrierNominalHz: TX_HZ }
const watched = (
  values: readonly number[],
  { stretch = 'keyed a', alike = 'a', fromS = 0, everyS = 2 } = {},
): WatchedSample[] => values.map((value, i) => ({ atMs: (fromS + i * everyS) * 1000, value, stretch, alike }))
const noisy = (n: number, hz: (s: number) => number, seed = 1, noise = 0.4) => {
  const r = randomFrom(seed)
  return Array.from({ length: n }, (_, i) => Math.round(hz(i * 2) + noise * (r.next() + r.next() - 1) * 2))
}

describe('what tells a drift', () => {
  it('the reference pin watches without keying and is scaled to the air', () => {
    const samples = driftSamples(FM, { ...from, reference: watched([10_240_010, 10_240_020, 10_240_030]) })
    expect(samples).toHaveLength(3)
    expect(samples[0]!.hz).toBeCloseTo((10 * TX_HZ) / 10_240_000, 6)
  })
  it('a reading of another channel is left out', () => {
    expect(
      driftSamples(FM, { ...from, carrier: watched([TX_HZ, 27_601_250, TX_HZ - 50]) }).map(s => s.hz),
    ).toEqual([-50])
  })
  it('a warm set that stands still does not drift because the mode was changed', () => {
    // AM at -1 Hz, then one tone on USB 1 kHz above, then AM again.
    const am = (fromS: number, seed: number) =>
      watched(
        noisy(15, () => 27_185_000 - 1, seed),
        { fromS },
      )
    const usb = watched(
      noisy(15, () => 27_186_000 + 63, 3),
      { fromS: 40, stretch: 'keyed usb', alike: 'usb' },
    )
    const samples = driftSamples(LX8, {
      ...from,
      carrierNominalHz: 27_185_000,
      carrier: [...am(0, 1), ...usb, ...am(80, 2)],
    })
    const fit = fitDrift(samples)!
    expect(Math.abs(fit.rateHzPerMin)).toBeLessThan(1)
    expect(warmGate(1, samples, null, 1800)).toMatchObject({ state: 'open', by: 'drift' })
  })
  it('a trimmer that was turned is no drift, said or not said', () => {
    const drifting = (s: number) => TX_HZ - 500 + 30 * Math.exp(-s / 300)
    const trimmed = (s: number) => drifting(s) + (s >= 90 ? 526 : 0)
    const samples = driftSamples(FM, { ...from, carrier: watched(noisy(90, trimmed)) })
    const fit = fitDrift(samples)!
    const trueRate = (-30 / 300) * Math.exp(-178 / 300) * 60
    expect(Math.abs(fit.rateHzPerMin - trueRate)).toBeLessThan(2)
    if (fit.settlesHz !== null) expect(Math.abs(fit.settlesHz - 26)).toBeLessThan(15)
  })
  it('goes on over key-downs, but for the first count after keying', () => {
    const burst = (fromS: number, key: string) =>
      watched([TX_HZ - 4000, ...noisy(4, s => TX_HZ - 100 + (fromS + s) * 0.05, fromS + 1)], {
        fromS,
        stretch: key,
      })
    const gap = (fromS: number): WatchedSample[] => [
      { atMs: fromS * 1000, value: 0, stretch: 'unkeyed', alike: 'a' },
    ]
    const carrier = [0, 60, 120, 180].flatMap(s => [...burst(s, 'keyed a'), ...gap(s + 20)])
    const fit = fitDrift(driftSamples(FM, { ...from, carrier }))!
    expect(fit.rateHzPerMin).toBeCloseTo(3, 0)
  })
})

describe('a drift that was typed', () => {
  const at = (
    minute: number,
    hz: number,
    extra: Partial<Extract<JobEvent, { kind: 'row-taken' }>> = {},
  ): JobEvent => {
    const row = rowTaken('as-found', null, 'high-20', { carrierHz: TX_HZ + hz }) as Extract<
      JobEvent,
      { kind: 'row-taken' }
    >
    return {
      ...row,
      ...extra,
      atMs: minute * 60_000,
      readings: row.readings.map(r => ({ ...r, source: 'typed' as const })),
    }
  }
  const fitOf = (...events: JobEvent[]) =>
    fitDrift(driftSamples(FM, { ...from, history: history(FM, events) }))
  it('falls where it falls: three readings are enough, with what they may be off by', () => {
    const fit = fitOf(at(5, -140), at(10, -178), at(15, -205))!
    expect(fit.rateHzPerMin).toBeCloseTo(-6.5, 1)
    expect(fit.rateUncertaintyHzPerMin).toBeGreaterThan(0)
    expect(Math.abs(fit.rateHzPerMin)).toBeGreaterThan(2 * fit.rateUncertaintyHzPerMin)
  })
  it('of two nothing is said', () => expect(fitOf(at(5, -140), at(10, -178))).toBeNull())
  it('does not join what lies on both sides of a turn', () => {
    const fit = fitOf(
      at(5, -140),
      at(10, -141),
      { ...turned('CT2'), atMs: 11 * 60_000 } as JobEvent,
      at(12, 10),
      at(17, 9),
    )!
    expect(fit.rateHzPerMin).toBeCloseTo(-0.2, 1)
  })
  it('a struck reading belongs to none', () => {
    const wrong = at(8, 2000)
    const id = (wrong as Extract<JobEvent, { kind: 'row-taken' }>).readings[0]!.id
    const events: JobEvent[] = [
      at(5, -140),
      wrong,
      at(10, -140),
      at(15, -140),
      { kind: 'reading-struck', id: 's', atMs: 0, readingId: id, reason: 'misread' },
    ]
    expect(fitOf(...events)!.rateHzPerMin).toBeCloseTo(0, 6)
  })
})

describe('rates of a set that stands still', () => {
  it('are within twice their uncertainty of nothing in 19 of 20', () => {
    let inside = 0
    for (let seed = 1; seed <= 200; seed++) {
      const fit = fitDrift(driftSamples(FM, { ...from, carrier: watched(noisy(60, () => TX_HZ, seed)) }))!
      if (Math.abs(fit.rateHzPerMin) <= 2 * fit.rateUncertaintyHzPerMin) inside++
    }
    expect(inside).toBeGreaterThanOrEqual(185)
  })
  it('open the gate', () =>
    expect(
      warmGate(1, driftSamples(FM, { ...from, carrier: watched(noisy(60, () => TX_HZ)) }), 60, 1200),
    ).toMatchObject({ state: 'open', by: 'drift' }))
})

describe('a turn is inferred', () => {
  const tx = (minute: number, hz: number) =>
    ({ ...stepRow('A1.5', 'ch20', { carrierHz: TX_HZ + hz }), atMs: minute * 60_000 }) as JobEvent
  it('from a change beyond drift and noise', () => {
    const h = history(FM, [tx(0, -180), tx(0.5, 10)])
    expect(h.turns).toMatchObject([{ designator: 'CT2', inferred: true }])
    expect(h.questions).toMatchObject([{ designators: ['CT2'], inferred: true }])
  })
  it('never from readings minutes apart that drift explains: that is asked', () => {
    const h = history(FM, [tx(0, -180), tx(10, -140)])
    expect(h.turns).toEqual([])
    expect(h.questions).toMatchObject([{ stepId: 'A1.5', designators: ['CT2'], inferred: false }])
  })
  it('never between different conditions', () => {
    const other = rowTaken('adjusting', 'A1.5', 'ch20', { carrierHz: TX_HZ + 90 }, { supplyV: 12.6 })
    expect(history(FM, [stepRow('A1.5', 'ch20', { carrierHz: TX_HZ }), other]).questions).toEqual([])
  })
  it('is asked about once: yes makes it a turn before the reading, no makes it none', () => {
    const [first, second] = [tx(0, -180), tx(0.5, 10)]
    const answer = (designators: string[]): JobEvent => ({
      kind: 'turn-answered',
      id: 'q',
      atMs: 0,
      rowId: second.id,
      designators,
    })
    const yes = history(FM, [first, second, answer(['CT2'])])
    expect(yes).toMatchObject({ turns: [{ designator: 'CT2', inferred: false }], questions: [] })
    expect(yes.readings.at(-1)!.staleBy).toEqual([])
    expect(history(FM, [first, second, answer([])])).toMatchObject({ turns: [], questions: [] })
    expect(history(FM, [first, second, answer(['CT2']), tx(1, 60)]).questions).toEqual([])
  })
  it('of the adjusters that move the quantity only', () => {
    const LX = modelSheet('quillon-hb150')
    const row = (plateA: number) =>
      rowTaken('adjusting', 'A6.3', 'dip', { plateA }, { mode: 'CW', channel: 3, setting: 'half carrier' })
    expect(history(LX, [row(0.2), row(0.1)]).questions[0]?.designators ?? []).not.toContain('VR4')
  })
})
