import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  CYCLE_POINTS,
  complexCycle,
  distortionOf,
  drawComplex,
  drawReal,
  extremes,
  linesOfCycle,
  realCycle,
} from './cycle'
import { lineAmplitude, lineAt, peakFrequency, strongestTone } from './lines'
import { hann } from '../spectrum/window'

const RATE = 48_000
const wave = (f: (t: number) => number, n = 24_000) => Float64Array.from({ length: n }, (_, k) => f(k / RATE))
const sine =
  (hz: number, phase = 0) =>
  (t: number) =>
    Math.sin(2 * Math.PI * hz * t + phase)

describe('a line', () => {
  it('is found between bins to a millionth of the rate, from a bin away', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 20_000, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (hz, phase) => {
          expect(Math.abs(peakFrequency(wave(sine(hz, phase)), null, RATE, hz + 1.3) - hz)).toBeLessThan(
            RATE * 1e-6,
          )
        },
      ),
      { numRuns: 30 },
    )
  })
  it('has the size that it was made with, real or complex, also at 0 Hz', () => {
    const x = wave(t => 0.25 + 0.5 * sine(1234.5)(t))
    const w = hann(x.length)
    expect(lineAmplitude(lineAt(x, null, w.values, w.sum, 1234.5 / RATE))).toBeCloseTo(0.5, 6)
    expect(lineAt(x, null, w.values, w.sum, 0).re).toBeCloseTo(0.25, 6)
  })
  it('that is strongest between two frequencies is told with its share of the power', () => {
    const found = strongestTone(
      wave(t => 0.3 * sine(700)(t) + 0.1 * sine(1900)(t)),
      RATE,
      100,
      6000,
    )!
    expect(found.hz).toBeCloseTo(700, 2)
    expect(found.powerRatio).toBeCloseTo(0.9, 1)
    expect(strongestTone(new Float64Array(10), RATE, 100, 6000)).toBeNull()
  })
})

describe('a cycle', () => {
  it('shows the crest between samples: 48 of them miss it by up to 0.21 % (C47)', () => {
    const x = wave(sine(1000, 0.0654))
    const sampled = Math.max(...x)
    const { max } = extremes(drawReal(realCycle(x, RATE, 1000, 10_000)))
    expect(Math.abs(max - 1)).toBeLessThan(1e-6)
    expect(1 - sampled).toBeGreaterThan(1e-4)
  })
  it('leaves out what does not repeat: hum beside a tone', () => {
    const cycle = drawReal(
      realCycle(
        wave(t => sine(1003)(t) + 0.5 * sine(50)(t)),
        RATE,
        1003,
        10_000,
      ),
    )
    expect(extremes(cycle).max).toBeCloseTo(1, 3)
  })
  it('of a complex signal is the signal', () => {
    const n = 24_000
    const re = Float32Array.from(
      { length: n },
      (_, k) => 0.5 + 0.2 * Math.cos((2 * Math.PI * 900 * k) / RATE),
    )
    const im = Float32Array.from({ length: n }, (_, k) => 0.2 * Math.sin((2 * Math.PI * 900 * k) / RATE))
    const drawn = drawComplex(complexCycle(re, im, RATE, 900, 20_000))
    expect(drawn.re).toHaveLength(CYCLE_POINTS)
    expect(extremes(drawn.re).max).toBeCloseTo(0.7, 4)
    expect(extremes(drawn.im).min).toBeCloseTo(-0.2, 4)
  })
  it('tells distortion of the fundamental, and its own lines', () => {
    const lines = realCycle(
      wave(t => sine(1000)(t) + 0.03 * sine(2000)(t) + 0.04 * sine(3000)(t)),
      RATE,
      1000,
      10_000,
    ).lines
    expect(distortionOf(lines)).toBeCloseTo(0.05, 5)
    expect(
      linesOfCycle(
        Float64Array.from(
          { length: CYCLE_POINTS },
          (_, n) => 2 + 0.5 * Math.cos((2 * Math.PI * n) / CYCLE_POINTS),
        ),
        2,
      ).map(l => Number(lineAmplitude(l).toFixed(6))),
    ).toEqual([2, 0.5, 0])
  })
})
