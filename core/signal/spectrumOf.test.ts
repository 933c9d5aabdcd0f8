import { describe, expect, it } from 'vitest'
import { amSignal, lineSignal, recordingOf, sum, withNoise } from '../../test/fixtures/signals'
import { emissionMask, ruleSet } from '../rules'
import { measure } from '../../test/fixtures/measured'

describe('spectrum', () => {
  it('adjacent power is that of the lines put there, both ways of counting', async () => {
    const made = sum(
      amSignal({ depth: 0, rateHz: 96_000, offsetHz: 0 }),
      lineSignal(
        [
          [9000, 0.3 * 10 ** (-40 / 20)],
          [-21_000, 0.3 * 10 ** (-50 / 20)],
        ],
        96_000,
      ),
    )
    const { spectrum } = await measure(recordingOf(withNoise(made, 90)), { as: 'am' })
    const dbc = (offsetHz: number, bandwidthHz: number) =>
      spectrum!.adjacent.find(a => a.offsetHz === offsetHz && a.bandwidthHz === bandwidthHz)!.dbc
    for (const width of [8000, 10_000]) {
      expect(dbc(10_000, width)).toBeCloseTo(-40, 1)
      expect(dbc(-20_000, width)).toBeCloseTo(-50, 1)
      expect(dbc(-10_000, width)).toBeLessThan(-80)
    }
  })
  it.each([
    [1.1, -38.8],
    [1.25, -30.8],
    [1.5, -26.9],
  ])(
    'a carrier pinched off at m = %d with 2.5 kHz puts %d dBc into the next channel (C08)',
    async (depth, dbc) => {
      const { spectrum } = await measure(
        recordingOf(amSignal({ depth, toneHz: 2500, rateHz: 96_000, offsetHz: 100 })),
        { as: 'am' },
      )
      expect(spectrum!.adjacent.find(a => a.offsetHz === 10_000 && a.bandwidthHz === 8000)!.dbc).toBeCloseTo(
        dbc,
        0,
      )
    },
  )
  it('harmonics are read where samples of the radio frequency hold them', async () => {
    const rate = 200_000
    const x = Float32Array.from(
      { length: rate },
      (_, n) =>
        0.3 * Math.sin((2 * Math.PI * 27_000 * n) / rate) +
        0.003 * Math.sin((2 * Math.PI * 54_000 * n) / rate) +
        0.0003 * Math.sin((2 * Math.PI * 81_000 * n) / rate),
    )
    const m = await measure(
      recordingOf(amSignal({ depth: 0 }), {
        kind: 'real',
        sampleRateHz: rate,
        sampleCount: x.length,
        centreHz: null,
        read: async (from, count) => ({ i: x.subarray(from, from + count), q: new Float32Array(0) }),
      }),
      { as: 'am' },
    )
    expect(m.spectrum!.harmonics.map(h => [h.order, Math.round(h.dbc)])).toEqual([
      [2, -40],
      [3, -60],
    ])
    expect((await measure(recordingOf(amSignal({ depth: 0.5 })))).spectrum!.harmonics).toEqual([])
  })
  it('the mask of R-US: 25 dB at 4 to 8 kHz; a line 20 dB down there is 5 dB too strong', async () => {
    const mask = {
      ruleSetId: 'R-US',
      parts: (mode: Parameters<typeof emissionMask>[1], w: number) =>
        emissionMask(ruleSet('R-US').mask, mode, w),
    }
    const clean = await measure(recordingOf(amSignal({ depth: 0.8, rateHz: 96_000 })), { mask, carrierW: 4 })
    expect(clean.spectrum!.mask!.pass).toBe(true)
    const made = sum(amSignal({ depth: 0.8, rateHz: 96_000 }), lineSignal([[4321 + 6000, 0.03]], 96_000))
    const dirty = await measure(recordingOf(made), { mask, carrierW: 4, as: 'am' })
    expect(dirty.spectrum!.mask!.pass).toBe(false)
    expect(dirty.spectrum!.mask!.worstMarginDb).toBeCloseTo(-5, 0)
    expect(dirty.spectrum!.mask!.worstOffsetHz).toBeCloseTo(6000, -3)
  })
})
