import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { amSignal, carrierOf, lineSignal, withNoise } from '../../../test/fixtures/signals'
import { meanPower, type Series } from '../series'
import { loadFastTransforms } from '../spectrum/fastFft'
import { channeliserOf, narrowed } from './channeliser'
import { planChannel } from './channelPlan'
import { HealthCounter, imbalanceOf } from './health'
import { longest, stretchesOf } from './stretches'

const RATE = 250_000

beforeAll(loadFastTransforms)

/** What a line of size 1 becomes in a channel [dB]. */
function throughDb(hz: number, centreHz: number): number {
  const plan = planChannel(RATE, centreHz, 64_000)
  const made = lineSignal([[hz, 1]], RATE, 0.05)
  const channel = channeliserOf(plan, RATE, made.i.length, false)
  channel.add(Float32Array.from(made.i), Float32Array.from(made.q))
  return 10 * Math.log10(meanPower(channel.result()))
}

describe('the channel', () => {
  const plan = planChannel(RATE, 20_000, 64_000)
  it('is flat to 0.001 dB where it is used', () => {
    for (const off of [0, 1000, -7000, 15_000, -29_000])
      expect(Math.abs(throughDb(20_000 + off, 20_000))).toBeLessThan(1e-3)
    expect(plan.passHz).toBeGreaterThan(29_000)
  })
  it('lets nothing in from beyond: 85 dB and more', () => {
    for (const off of [56_000, -70_000, 90_000]) expect(throughDb(20_000 + off, 20_000)).toBeLessThan(-85)
  })
  it('does not depend on how the samples come: any pieces give the same', () => {
    const made = withNoise(amSignal({ depth: 0.7, offsetHz: 21_000, rateHz: RATE, seconds: 0.02 }), 30)
    const [i, q] = [Float32Array.from(made.i), Float32Array.from(made.q)]
    const through = (sizes: readonly number[]) => {
      const channel = channeliserOf(plan, RATE, i.length, false)
      for (let at = 0, k = 0; at < i.length; k++) {
        const to = Math.min(i.length, at + sizes[k % sizes.length]!)
        channel.add(i.subarray(at, to), q.subarray(at, to))
        at = to
      }
      return channel.result()
    }
    const whole = through([i.length])
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 5 }), sizes => {
        const pieces = through(sizes)
        expect(pieces.re.length).toBe(whole.re.length)
        for (let n = 0; n < whole.re.length; n += 97)
          expect(Math.abs(pieces.re[n]! - whole.re[n]!)).toBeLessThan(1e-5)
      }),
      { numRuns: 15 },
    )
  })
  it('of a real signal is its pointer, once, at full size', () => {
    const made = lineSignal([[12_000, 0.5]], 48_000, 0.5)
    const channel = channeliserOf(planChannel(48_000, 12_000, 64_000, 9000), 48_000, made.i.length, true)
    channel.add(Float32Array.from(made.i), new Float32Array(0))
    expect(10 * Math.log10(meanPower(channel.result()))).toBeCloseTo(20 * Math.log10(0.5), 2)
  })
  it('can be made narrower when it is there', () => {
    const made = lineSignal(
      [
        [3000, 0.5],
        [22_000, 0.5],
      ],
      96_000,
      0.2,
    )
    const series: Series = { re: Float32Array.from(made.i), im: Float32Array.from(made.q), rateHz: 96_000 }
    expect(meanPower(narrowed(series, 48_000, 16_000))).toBeCloseTo(0.25, 3)
  })
})

describe('what the transmitter did', () => {
  const made = withNoise(
    carrierOf(
      48_000,
      1.6,
      t => {
        if (t < 0.4) return 0
        return t < 0.8 ? 1 : 1 + 0.6 * Math.sin(2 * Math.PI * 1000 * t)
      },
      () => 0,
    ),
    40,
  )
  const series: Series = { re: Float32Array.from(made.i), im: Float32Array.from(made.q), rateHz: 48_000 }
  const stretches = stretchesOf(series, 0.09e-4)
  it('is off, then a bare carrier, then modulated', () => {
    expect(stretches.map(s => s.doing)).toEqual(['off', 'steady', 'modulated'])
    expect(stretches.map(s => Math.round(s.to / 480) / 100)).toEqual([0.4, 0.8, 1.6])
  })
  it('is used without the blocks in which it changes', () => {
    expect(longest(stretches, 'steady', 48_000, series.re.length)).toEqual({
      doing: 'steady',
      from: stretches[1]!.from + 960,
      to: stretches[1]!.to - 960,
    })
    expect(longest(stretches, 'modulated', 48_000, series.re.length)!.to).toBe(series.re.length)
    expect(longest(stretches.slice(0, 1), 'steady', 48_000, series.re.length)).toBeNull()
  })
})

describe('health', () => {
  const count = (i: number[], q: number[], steps: number | null = null) => {
    const counter = new HealthCounter(steps)
    counter.add({ i: Float32Array.from(i), q: Float32Array.from(q) })
    return counter.result()
  }
  const circle = (size: number, gain = 1, lead = 0) =>
    Array.from({ length: 5000 }, (_, n) => n * 0.7312).map(
      a => [size * Math.cos(a), size * gain * Math.sin(a + lead)] as const,
    )
  it.each([
    [1.05, 2],
    [0.9, -4],
    [1, 0.5],
  ])('imbalance of gain %d and %d degrees comes back (algebra)', (gain, degrees) => {
    const points = circle(0.5, gain, (degrees * Math.PI) / 180)
    const found = imbalanceOf(
      count(
        points.map(p => p[0]),
        points.map(p => p[1]),
      ),
    )!
    expect(found.gain).toBeCloseTo(gain, 2)
    expect((found.phaseRad * 180) / Math.PI).toBeCloseTo(degrees, 0)
  })
  it('an 8-bit circle that fits is no overload; one that is cut at the rail is', () => {
    const code = (x: number) => Math.max(-127.5, Math.min(127.5, Math.round(x * 127.5 - 0.5) + 0.5)) / 128
    for (const [size, overload] of [
      [0.98, false],
      [1.5, true],
    ] as const) {
      const points = circle(size)
      expect(
        count(
          points.map(p => code(p[0])),
          points.map(p => code(p[1])),
          128,
        ).overload,
      ).toBe(overload)
    }
  })
  it('floats beyond 1 are scaled, not cut', () => {
    const points = circle(3)
    expect(
      count(
        points.map(p => p[0]),
        points.map(p => p[1]),
      ).overload,
    ).toBe(false)
  })
})

describe('the largest code of a coarse converter', () => {
  it('three alike at the top of a clean recording are no clipping; a crest that is cut is', () => {
    const codes = (size: number, cut: number) =>
      Float32Array.from(
        { length: 48_000 },
        (_, n) =>
          Math.max(
            -cut,
            Math.min(cut, Math.round(127.5 * size * Math.sin((2 * Math.PI * 50.3 * n) / 48_000))),
          ) / 127.5,
      )
    const health = (i: Float32Array) => {
      const counter = new HealthCounter(127.5)
      counter.add({ i, q: new Float32Array(0) })
      return counter.result()
    }
    for (const size of [0.11, 0.3, 0.52, 0.77])
      expect([size, health(codes(size, 999)).overload]).toEqual([size, false])
    expect(health(codes(0.6, 50)).overload).toBe(true)
  })
})
