import { describe, expect, it } from 'vitest'
import { STEPPED_PRESETS, stepValues, steppedPoint, steppedSummary, type SteppedPlan } from './index'

const preset = (id: string) => STEPPED_PRESETS.find(p => p.id === id)!.plan
const run = (plan: SteppedPlan, law: (set: number) => number) =>
  stepValues(plan).map(set => steppedPoint(set, [{ value: law(set), standardUncertainty: 0.1 }]))

describe('steps', () => {
  it('linear and logarithmic, both ends included', () => {
    expect(stepValues({ from: 11, to: 14, steps: 4, spacing: 'linear' })).toEqual([11, 12, 13, 14])
    const log = stepValues({ from: 1e-7, to: 1e-4, steps: 4, spacing: 'log' })
    expect(log.map(v => Math.round(20 * Math.log10(v)))).toEqual([-140, -120, -100, -80])
  })
  it.each([
    [{ from: 0, to: 1, steps: 5, spacing: 'log' as const }],
    [{ from: 1, to: 2, steps: 1, spacing: 'linear' as const }],
    [{ from: 1, to: 2, steps: 500, spacing: 'linear' as const }],
    [{ from: Number.NaN, to: 2, steps: 5, spacing: 'linear' as const }],
  ])('%j is refused', plan =>
    expect(() => stepValues(plan)).toThrow(expect.objectContaining({ code: 'out-of-range' })),
  )
})

describe('a step', () => {
  it('is the mean of its readings; their spread joins the instrument', () => {
    // spread of 9, 10, 11: s = 1, of the mean 1/sqrt 3
    expect(
      steppedPoint(
        1,
        [9, 10, 11].map(value => ({ value, standardUncertainty: 0.5 })),
      ),
    ).toEqual({
      set: 1,
      value: 10,
      standardUncertainty: expect.closeTo(Math.hypot(0.5, 1 / Math.sqrt(3)), 12) as number,
    })
    expect(steppedPoint(1, [])).toEqual({ set: 1, value: null, standardUncertainty: null })
  })
})

describe('what a run says', () => {
  it('power of a saturated stage goes with the square, a regulated carrier does not move', () => {
    expect(
      steppedSummary(
        preset('power'),
        run(preset('power'), v => 4 * (v / 13.8) ** 2),
      )!.value,
    ).toBeCloseTo(2, 9)
    expect(
      steppedSummary(
        preset('power'),
        run(preset('power'), () => 3.9),
      )!.value,
    ).toBeCloseTo(0, 9)
  })
  it('SINAD falls 1 dB per dB; with leakage it stays', () => {
    const sinad = (leak: number) => (v: number) => 10 * Math.log10(1 + (v * v + leak) / 0.05e-12)
    expect(steppedSummary(preset('sinad'), run(preset('sinad'), sinad(0)))!.value).toBeCloseTo(1, 0.7)
    expect(steppedSummary(preset('sinad'), run(preset('sinad'), sinad(1e-12)))!.value).toBeLessThan(0.6)
  })
  it('a limiter holds, a missing one lets the depth follow', () => {
    expect(
      steppedSummary(
        preset('depth'),
        run(preset('depth'), v => Math.min(0.9, 40 * v)),
      )!.value,
    ).toBeCloseTo(0, 2)
    expect(
      steppedSummary(
        preset('depth'),
        run(preset('depth'), v => 40 * v),
      )!.value,
    ).toBeGreaterThan(2)
  })
  it('too few readings say nothing', () =>
    expect(steppedSummary(preset('sinad'), [steppedPoint(1e-6, [])])).toBeNull())
})
