import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { act, advance, healthyRig, truthOf } from '../../rig'
import { INSTRUMENT_PROFILES, compareMeters, instrumentProfile } from '../../instrument'
import {
  BENCH_KITS,
  benchKit,
  hiddenShare,
  shownOf,
  spectrumTrace,
  withError,
  type SimulatedReading,
} from '.'

const reading = (rest: Partial<SimulatedReading> = {}): SimulatedReading => ({
  header: 'X?',
  read: () => 0,
  accuracy: { ofReading: 0.03 },
  resolution: 0.001,
  settleS: 0,
  ...rest,
})
const keyedAm = (tones: { hz: number; v: number }[]) =>
  advance(
    act(
      act(advance(healthyRig('osmund-40a', 3), 1500), { kind: 'control', controls: { keyed: true } }).state,
      { kind: 'stimulus', stimulus: { tones } },
    ).state,
    0.5,
  )

describe('what an instrument shows', () => {
  it('errs by a fixed amount inside its class, never by nothing and never by more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10_000 }),
        fc.double({ min: 0.001, max: 1000, noNaN: true }),
        (seed, value) => {
          const accuracy = { ofReading: 0.03, absolute: 0.01, ofFullScale: 0.02, fullScale: 10 }
          expect(Math.abs(withError(value, accuracy, hiddenShare(seed, 1)) - value)).toBeLessThanOrEqual(
            0.03 * value + 0.01 + 0.2,
          )
        },
      ),
    )
    expect(hiddenShare(27, 1)).toBe(hiddenShare(27, 1))
    expect(hiddenShare(27, 1)).not.toBe(hiddenShare(27, 2))
  })
  it('settles exponentially, rounds to its last digit, says when it has nothing or too much', () => {
    const slow = reading({ settleS: 0.5, accuracy: {}, resolution: 0.1 })
    const first = shownOf(slow, 0, 0, null, 0)
    expect(shownOf(slow, 10, 0, first.memory, 0.5).shown).toEqual({
      kind: 'value',
      value: expect.closeTo(10 * (1 - 1 / Math.E), 1) as number,
    })
    expect(shownOf(reading(), null, 0, null, 0).shown).toEqual({ kind: 'no-signal' })
    expect(shownOf(reading({ most: 22 }), 25, 0, null, 0).shown).toEqual({ kind: 'overload' })
  })
  it('a diode wattmeter does not move with the tone, a thermal one does (C06)', () => {
    const [cheap] = benchKit('practice').instruments
    const read = (tones: { hz: number; v: number }[]) => {
      const state = keyedAm(tones)
      const truth = truthOf(state)
      return {
        cheap: cheap!.readings[0]!.read({ state, truth, spectral: () => truth })!,
        mean: truth.values.powerW!,
      }
    }
    const [bare, toned] = [read([]), read([{ hz: 1000, v: 0.03 }])]
    expect(toned.cheap / bare.cheap).toBeCloseTo(1, 2)
    expect(toned.mean / bare.mean).toBeCloseTo(1 + 0.908 ** 2 / 2, 2)
    expect(cheap!.readings[0]!.accuracy).toEqual({ ofFullScale: 0.1, fullScale: 20 })
    // so the comparison of meters does not call it wrong: on a tone it is turned into true mean first
    const meters = compareMeters(
      [
        { name: 'a', kind: 'average', shownW: toned.cheap, standardUncertaintyW: 0.2, path: [] },
        { name: 'b', kind: 'true-mean', shownW: toned.mean, standardUncertaintyW: 0.1, path: [] },
      ],
      { kind: 'am-tone', depthRatio: 0.908 },
    )
    expect(meters.agree).toBe(true)
  })
})

describe('benches', () => {
  it('every simulated instrument has a profile that asks only what it answers', () => {
    for (const instrument of BENCH_KITS.flatMap(k => k.instruments)) {
      const profile = instrumentProfile(instrument.profileId)
      expect(profile.talks).toBe(true)
      expect(profile.quantities.filter(q => q.query).length).toBe(instrument.readings.length)
      for (const s of profile.settings ?? []) expect(s.max).toBeGreaterThan(s.min)
    }
    expect(INSTRUMENT_PROFILES.filter(p => p.talks).length).toBeGreaterThan(6)
  })
  it('a profile states at least the class of the simulated instrument', () => {
    for (const instrument of BENCH_KITS.flatMap(k => k.instruments)) {
      const profile = instrumentProfile(instrument.profileId)
      instrument.readings.forEach((r, i) => {
        const stated = profile.quantities[i]!.accuracy
        for (const kind of ['ofReading', 'ofFullScale', 'absolute'] as const)
          expect([instrument.key, kind, (stated[kind] ?? 0) >= (r.accuracy[kind] ?? 0)]).toEqual([
            instrument.key,
            kind,
            true,
          ])
      })
    }
  })
})

describe('spectrum trace', () => {
  it('shows carrier and sidebands where they belong: m/2 below the carrier', () => {
    const truth = truthOf(keyedAm([{ hz: 2500, v: 0.03 }]), true)
    const trace = spectrumTrace(truth, { centreHz: truth.channelHz, spanHz: 20_000, points: 401, rbwHz: 200 })
    const at = (hz: number) => trace[Math.round((hz + 10_000) / 50)]!
    expect(at(0)).toBeCloseTo(10 * Math.log10(truth.carrierW / 1e-3), 0)
    expect(at(2500) - at(0)).toBeCloseTo(20 * Math.log10(0.908 / 2), 0)
    expect(at(8000)).toBeLessThan(at(0) - 60)
  })
  it('shows its own floor when nothing is sent', () => {
    const trace = spectrumTrace(truthOf(healthyRig('osmund-40a', 1)), {
      centreHz: 27e6,
      spanHz: 1e5,
      points: 11,
      rbwHz: 1000,
    })
    expect(Math.max(...trace)).toBeCloseTo(-80, 3)
  })
})
