import { describe, expect, it } from 'vitest'
import {
  SIZE,
  amSignal,
  audioRecording,
  carrierOf,
  fmSignal,
  lineSignal,
  recordingOf,
  sine,
  withNoise,
} from '../../test/fixtures/signals'
import { DEFAULT_OPTIONS, measureRecording } from './'
import { measure, codes } from '../../test/fixtures/measured'

describe('nothing sent', () => {
  it.each([
    ['noise', withNoise(lineSignal([], 48_000, 2), 0, 0.01)],
    ['silence', lineSignal([], 48_000, 1)],
    ['an offset of the receiver alone', withNoise(lineSignal([[0, 0.004]], 48_000, 1), 0, 1e-6)],
  ])('%s gives no readings', async (_name, made) => {
    const m = await measure(recordingOf(made))
    expect([m.signalPresent, m.carrier, m.am, m.fm, m.ssb, m.spectrum]).toEqual([
      false,
      null,
      null,
      null,
      null,
      null,
    ])
    expect(codes(m).some(c => c === 'no-signal' || c === 'only-at-centre')).toBe(true)
  })
  it('a line at the very centre alone is not called nothing: it may be the carrier', async () => {
    const m = await measure(recordingOf(withNoise(lineSignal([[0, 0.004]], 48_000, 1), 0, 1e-6)))
    expect(codes(m)).toContain('only-at-centre')
    expect(codes(m)).not.toContain('no-signal')
  })
  it('seeds of noise: ten in a row, none of them a signal', async () => {
    for (let seed = 1; seed <= 10; seed++)
      expect(
        (await measure(recordingOf(withNoise(lineSignal([], 24_000, 1), 0, 0.01, seed)))).signalPresent,
      ).toBe(false)
  })
})

describe('the mode', () => {
  it.each([
    ['am', amSignal({ depth: 0.5 })],
    ['am', amSignal({ depth: 1.3 })],
    ['fm', fmSignal(2000, 1000)],
    ['fm', fmSignal(150, 1000)],
    ['fm', fmSignal(2404.826, 1000)],
    ['am', amSignal({ depth: 0 })],
  ] as const)('%s is found by itself', async (mode, made) => {
    expect((await measure(recordingOf(withNoise(made, 45)))).mode).toBe(mode)
  })
})

describe('carrier', () => {
  it('drifts as it was made to: final frequency and time constant (C21)', async () => {
    const made = carrierOf(
      48_000,
      4,
      t => 1 + 0.5 * sine(1000)(t),
      t => 4000 * t - 60 * 1.2 * Math.exp(-t / 1.2),
    )
    const { carrier } = await measure(recordingOf(withNoise(made, 50)), { as: 'am' })
    expect(carrier!.drift!.finalHz).toBeCloseTo(27_184_000, 0)
    expect(carrier!.drift!.tauS).toBeCloseTo(1.2, 1)
    expect(carrier!.drift!.startHz - carrier!.drift!.endHz).toBeCloseTo(60 * (1 - Math.exp(-4 / 1.2)), -1)
  })
  it('that stands still has no drift to settle from', async () => {
    const { carrier } = await measure(recordingOf(withNoise(amSignal({ depth: 0.5, seconds: 2 }), 40)))
    expect([carrier!.drift!.finalHz, carrier!.drift!.tauS]).toEqual([null, null])
    expect(Math.abs(carrier!.drift!.startHz - carrier!.drift!.endHz)).toBeLessThan(0.05)
  })
  it('at 20 dB is uncertain by about what theory allows (Rife and Boorstyn 1974, from memory)', async () => {
    const truth = 27_184_321
    const errors = await Promise.all(
      Array.from(
        { length: 12 },
        async (_, seed) =>
          (await measure(recordingOf(withNoise(amSignal({ depth: 0 }), 20, 0.09, seed + 1)))).carrier!
            .frequencyHz! - truth,
      ),
    )
    const rms = Math.sqrt(errors.reduce((a, b) => a + b * b, 0) / errors.length)
    const bound = (48_000 / (2 * Math.PI)) * Math.sqrt(6 / (100 * 48_000 ** 3))
    expect(rms).toBeGreaterThan(0.4 * bound)
    expect(rms).toBeLessThan(4 * bound)
  })
  it('error is told in Hz and ppm from the nominal channel', async () => {
    const { carrier } = await measure(recordingOf(amSignal({ depth: 0.3, offsetHz: 5000 })), {
      nominalHz: 27_184_900,
    })
    expect(carrier!.offsetHz).toBeCloseTo(100, 3)
    expect(carrier!.errorPpm).toBeCloseTo(100 / 27.1849, 3)
  })
  it('without a centre frequency has an offset and no frequency', async () => {
    const { carrier } = await measure(recordingOf(amSignal({ depth: 0.3 }), { centreHz: null }))
    expect([carrier!.frequencyHz, carrier!.errorPpm]).toEqual([null, null])
    expect(carrier!.offsetHz).toBeCloseTo(4321, 3)
  })
  it('is found in real samples of an intermediate frequency too', async () => {
    const made = amSignal({ depth: 0.8, offsetHz: 15_000, rateHz: 96_000 })
    const m = await measure(
      recordingOf(made, {
        kind: 'real',
        centreHz: null,
        read: async (from, count) => ({
          i: Float32Array.from(made.i.subarray(from, from + count)),
          q: new Float32Array(0),
        }),
      }),
      { as: 'am' },
    )
    expect(m.carrier!.offsetHz).toBeCloseTo(15_000, 2)
    expect(m.am!.depthNegative).toBeCloseTo(0.8, 2)
  })
})

describe('audio', () => {
  const tone = (harmonic2: number, noise: number) => {
    const r = withNoise(lineSignal([], 48_000, 2), 0, 2 * noise, 5)
    return Float64Array.from(
      r.i,
      (n, k) =>
        0.25 * Math.sin((2 * Math.PI * 1000.37 * k) / 48_000) +
        0.25 * harmonic2 * Math.sin((2 * Math.PI * 2000.74 * k) / 48_000) +
        n,
    )
  }
  it('fundamental, level, distortion of the fundamental (THD-F)', async () => {
    const { audio } = await measure(audioRecording(tone(0.05, 0), 48_000))
    expect(audio!.fundamentalHz).toBeCloseTo(1000.37, 3)
    expect(audio!.thd).toBeCloseTo(0.05, 4)
    expect(audio!.harmonicsDbc[0]).toBeCloseTo(20 * Math.log10(0.05), 2)
    expect(audio!.levelDbfs).toBeCloseTo(20 * Math.log10(0.25) + 10 * Math.log10(1.0025), 2)
  })
  it('12 dB SINAD is (S + N + D) = 15.85 (N + D), by definition', async () => {
    const noise = 0.25 ** 2 / 2 / (10 ** 1.2 - 1)
    const { audio } = await measure(audioRecording(tone(0, noise), 48_000))
    expect(audio!.sinadDb).toBeCloseTo(12, 1)
    // White noise: of 24 kHz the voice band holds 3.1 kHz.
    expect(audio!.sinadVoiceDb).toBeCloseTo(10 * Math.log10(1 + ((10 ** 1.2 - 1) * 24_000) / 3100), 0)
    expect(audio!.snrDb).toBeCloseTo(10 * Math.log10(10 ** 1.2 - 1), 0)
  })
  it('noise and silence have no tone', async () => {
    for (const x of [
      Float64Array.from(withNoise(lineSignal([], 48_000, 1), 0, 0.02).i),
      new Float64Array(48_000),
    ])
      expect((await measure(audioRecording(x, 48_000))).signalPresent).toBe(false)
  })
})

describe('whatever is given', () => {
  it.each([0, 1, 7, 100, 255])(
    '%d samples are refused in words: that nothing is sent cannot be said of them',
    async n => {
      const made = amSignal({ depth: 0.5 })
      await expect(
        measure(recordingOf({ ...made, i: made.i.slice(0, n), q: made.q.slice(0, n) })),
      ).rejects.toThrowSaying(/samples: \d+ are too few/)
    },
  )
  it.each([256, 300, 500])(
    '%d samples are refused in words when they hold too little of the signal',
    async n => {
      const made = amSignal({ depth: 0.5 })
      await expect(
        measure(recordingOf({ ...made, i: made.i.slice(0, n), q: made.q.slice(0, n) })),
      ).rejects.toThrowSaying(
        /longest unbroken transmission leaves [\d.]+ ms to measure, 10\.7 ms are needed/,
      )
    },
  )
  it('syllables on one sideband are measured, however short each is', async () => {
    const keyed = carrierOf(
      48_000,
      1,
      t => ((t + 0.05) % 0.08 < 0.03 ? 1 : 0),
      t => 4321 * t,
    )
    const options = { ...DEFAULT_OPTIONS, as: 'ssb' as const }
    const { measurement } = await measureRecording(recordingOf(withNoise(keyed, 50)), options)
    expect(Math.abs(measurement.ssb!.pepDbfs! - 20 * Math.log10(SIZE))).toBeLessThan(1)
  })
  it.each([512, 600, 1000])('%d samples give a result, never a number that is none', async n => {
    const made = amSignal({ depth: 0.5 })
    const m = await measure(recordingOf({ ...made, i: made.i.slice(0, n), q: made.q.slice(0, n) }))
    expect(JSON.stringify(m)).not.toMatch(/NaN|Infinity/)
    const numbers = JSON.stringify(m, (_k, v: unknown) =>
      typeof v === 'number' && !Number.isFinite(v) ? 'NOT-FINITE' : v,
    )
    expect(numbers).not.toContain('NOT-FINITE')
  })
  it('a cancel ends it', async () => {
    await expect(
      measureRecording(recordingOf(amSignal({ depth: 0.5 })), DEFAULT_OPTIONS, {
        tell: () => undefined,
        cancelled: () => true,
      }),
    ).rejects.toThrowSaying('Cancelled')
  })
})
