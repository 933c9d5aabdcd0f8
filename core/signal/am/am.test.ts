import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SIZE, amSignal, recordingOf, withNoise, type AmMade } from '../../../test/fixtures/signals'
import { DEFAULT_OPTIONS, measureRecording } from '..'

const am = async (made: AmMade, snrDb: number | null = null) =>
  (
    await measureRecording(recordingOf(snrDb === null ? amSignal(made) : withNoise(amSignal(made), snrDb)), {
      ...DEFAULT_OPTIONS,
      as: 'am',
    })
  ).measurement

/** C02: what a pinched-off sine of depth m shows, in closed form. */
function pinched(m: number) {
  const angle = Math.acos(1 / m)
  const mean = (Math.PI - angle + m * Math.sin(angle)) / Math.PI
  return { share: angle / Math.PI, mean, depthPositive: (1 + m) / mean - 1 }
}

describe('depth', () => {
  it.each([0.05, 0.3, 0.5, 0.8, 0.85, 0.9, 0.95])(
    'of %d is read three ways alike (identities of linear AM, C01)',
    async depth => {
      const { am: f } = await am({ depth })
      for (const read of [f!.depthPositive, f!.depthNegative, f!.depthTrough, f!.depthFundamental!])
        expect(read).toBeCloseTo(depth, 3)
      expect(f!.pepToCarrier).toBeCloseTo((1 + depth) ** 2, 2)
      expect(f!.meanToCarrier).toBeCloseTo(1 + depth ** 2 / 2, 3)
      expect([f!.pinchedRatio, f!.flatTopRatio]).toEqual([0, 0])
    },
  )
  it.each([1.05, 1.1, 1.2, 1.4, 1.6])(
    'of %d pinches the carrier off as long as arccos(1/m)/pi says (C02)',
    async m => {
      const { am: f, notes } = await am({ depth: m })
      const truth = pinched(m)
      expect(f!.pinchedRatio).toBeCloseTo(truth.share, 2)
      expect(f!.depthPositive).toBeCloseTo(truth.depthPositive, 2)
      expect(f!.depthNegative).toBe(1)
      expect(notes.map(n => n.code)).toContain('pinched-off')
    },
  )
  it('of exactly 100 % is not called pinched off', async () =>
    expect((await am({ depth: 1 })).am!.pinchedRatio).toBeLessThan(0.01))
  it('against a bare carrier of the same recording: m = 1.40 is 140 %, of the mean envelope 125 % (C47)', async () => {
    const { am: f } = await am({ depth: 1.4, bareS: 0.3, seconds: 1.2 })
    expect(f!.unmodulated!.depthPositive).toBeCloseTo(1.4, 2)
    expect(f!.depthPositive).toBeCloseTo(1.253, 2)
    expect(f!.unmodulated!.carrierShift).toBeCloseTo(0.0651, 3)
    expect(f!.unmodulated!.startS).toBeLessThan(0.05)
  })
  it('against a carrier whose level was given: the same, and as sure as the gain of a receiver', async () => {
    const made = amSignal({ depth: 1.4, seconds: 0.9 })
    const { measurement: m } = await measureRecording(recordingOf(made), {
      ...DEFAULT_OPTIONS,
      as: 'am',
      unmodulatedDbfs: 20 * Math.log10(SIZE),
    })
    expect(m.am!.unmodulated!.depthPositive).toBeCloseTo(1.4, 2)
    expect(m.am!.unmodulated!.startS).toBeNull()
    expect(m.uncertainty.am!.unmodulated!.depthPositive).toBeCloseTo(0.024, 3)
    expect(m.notes.map(n => n.code)).toContain('carrier-given')
    const holds = await measureRecording(recordingOf(amSignal({ depth: 1.4, bareS: 0.3, seconds: 1.2 })), {
      ...DEFAULT_OPTIONS,
      as: 'am',
      unmodulatedDbfs: 3,
    })
    expect(
      holds.measurement.am!.unmodulated!.startS,
      'what the recording itself holds comes first',
    ).not.toBeNull()
  })
  it('of a carrier that flips its phase is told from one that is pinched off', async () => {
    const { am: f, notes } = await am({ depth: 1.3, reverses: true })
    expect(f!.depthSynchronous).toBeCloseTo(1.3, 3)
    expect(f!.pinchedRatio).toBe(0)
    expect(notes.map(n => n.code)).toContain('phase-reversal')
    expect((await am({ depth: 1.3 })).am!.depthSynchronous).toBeNull()
  })
  it(
    'with a clipped crest is flat-topped for as long as the ' +
      'sine lies above it; PEP and trough disagree aloud',
    async () => {
      const { am: f, notes } = await am({ depth: 0.9, clipAt: 1.6 })
      expect(f!.flatTopRatio).toBeCloseTo(Math.acos(0.6 / 0.9) / Math.PI, 2)
      expect(notes.map(n => n.code)).toEqual(expect.arrayContaining(['flat-topped', 'pep-disagrees']))
      expect((await am({ depth: 0.9 })).notes.map(n => n.code)).not.toContain('flat-topped')
    },
  )
  it('is null where the recording is overloaded, and says so', async () => {
    const made = amSignal({ depth: 0.9 })
    const cut = {
      ...made,
      i: made.i.map(x => Math.max(-1, Math.min(1, 3 * x))),
      q: made.q.map(x => Math.max(-1, Math.min(1, 3 * x))),
    }
    const { measurement: m } = await measureRecording(recordingOf(cut), DEFAULT_OPTIONS)
    expect([m.health.overload, m.am]).toEqual([true, null])
  })
})

describe('over ranges', () => {
  it('depth, tone, offset and noise: within five times the stated uncertainty', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.double({ min: 0.1, max: 0.97, noNaN: true }),
        fc.double({ min: 300, max: 3000, noNaN: true }),
        fc.double({ min: -9000, max: 9000, noNaN: true }),
        fc.integer({ min: 20, max: 80 }),
        async (depth, toneHz, offsetHz, snrDb) => {
          const m = await am({ depth, toneHz, offsetHz, seconds: 0.7 }, snrDb)
          // Five standard uncertainties: of 25 drawn signals with four figures each none should miss.
          for (const [read, truth, u] of [
            [m.am!.depthPositive, depth, m.uncertainty.am!.depthPositive],
            [m.am!.depthNegative, depth, m.uncertainty.am!.depthNegative],
            [m.am!.audioHz!, toneHz, Math.max(m.uncertainty.am!.audioHz!, 1e-4)],
            [m.carrier!.frequencyHz!, 27_180_000 + offsetHz, Math.max(m.carrier!.uncertaintyHz, 1e-4)],
          ]) {
            expect(Math.abs(read! - truth!)).toBeLessThan(5 * u! + 1e-9)
          }
        },
      ),
      { numRuns: 25, seed: 7 },
    )
  })
  it('distortion of a pinched-off envelope is that of the table: 5.75 % at m = 1.20 (C02)', async () => {
    expect((await am({ depth: 1.2 })).am!.thd).toBeCloseTo(0.0575, 3)
  })
})
