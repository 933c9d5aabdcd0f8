import { describe, expect, it } from 'vitest'
import {
  amSignal,
  audioRecording,
  lineSignal,
  recordingOf,
  sum,
  withNoise,
} from '../../test/fixtures/signals'
import { measure, codes } from '../../test/fixtures/measured'

describe('health', () => {
  it('imbalance of I and Q is told and put right; a mirror on the signal itself is not', async () => {
    const made = amSignal({ depth: 0.5, offsetHz: 9000 })
    const [g, p] = [1.06, (4 * Math.PI) / 180]
    const skewed = { ...made, q: made.q.map((y, n) => g * (y * Math.cos(p) + made.i[n]! * Math.sin(p))) }
    const m = await measure(recordingOf(skewed))
    expect(m.health.iqGainDb).toBeCloseTo(20 * Math.log10(g), 2)
    expect(m.health.iqPhaseDeg).toBeCloseTo(4, 1)
    const image = (1 + g * g - 2 * g * Math.cos(p)) / (1 + g * g + 2 * g * Math.cos(p))
    expect(m.health.imageDbc).toBeCloseTo(10 * Math.log10(image), 1)
    expect(m.am!.depthNegative).toBeCloseTo(0.5, 3)
    const own = await measure(recordingOf(amSignal({ depth: 0.5, offsetHz: 10 })))
    expect(own.health.imageDbc).toBeNull()
    expect(codes(own)).toContain('image-not-separable')
  })
  it('a carrier at 0 Hz is not taken away as an offset', async () => {
    const m = await measure(recordingOf(withNoise(amSignal({ depth: 0.7, offsetHz: 0 }), 50)))
    expect(m.am!.depthNegative).toBeCloseTo(0.7, 2)
    expect(codes(m)).toContain('carrier-at-centre')
  })
  it('an offset of the receiver beside the signal is', async () => {
    const m = await measure(
      recordingOf(sum(amSignal({ depth: 0.7, offsetHz: 12_000 }), lineSignal([[0, 0.02]]))),
    )
    expect(codes(m)).toContain('dc-removed')
    expect(m.health.dcOffset).toBeCloseTo(0.02, 3)
  })
  it('a sine that touches full scale is no overload, one that is cut off is', async () => {
    const full = lineSignal([[4321, 0.9999]])
    expect((await measure(recordingOf(full))).health.overload).toBe(false)
    const cut = {
      ...full,
      i: full.i.map(x => Math.max(-1, Math.min(1, 1.1 * x))),
      q: full.q.map(x => Math.max(-1, Math.min(1, 1.1 * x))),
    }
    expect((await measure(recordingOf(cut))).health.overload).toBe(true)
  })
  it('silence, and a level that never moves, are no overload', async () => {
    for (const v of [0, 0.5])
      expect((await measure(audioRecording(new Float64Array(4800).fill(v), 48_000))).health).toMatchObject({
        overload: false,
        clippedRatio: 0,
      })
  })
  it('a tone that is off by 44.1 to 48 makes the sample rate suspect', async () => {
    expect(
      codes(await measure(recordingOf(amSignal({ depth: 0.8, toneHz: 918.75 })), { toneHz: 1000, as: 'am' })),
    ).toContain('rate-suspected')
    expect(
      codes(await measure(recordingOf(amSignal({ depth: 0.8, toneHz: 960 })), { toneHz: 1000, as: 'am' })),
    ).not.toContain('rate-suspected')
  })
})
