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
  sum,
  withNoise,
} from '../../test/fixtures/signals'
import { emissionMask, ruleSet } from '../rules'
import { DEFAULT_OPTIONS, measureRecording, type MeasureOptions } from '.'

const measure = async (
  recording: Parameters<typeof measureRecording>[0],
  options: Partial<MeasureOptions> = {},
) => (await measureRecording(recording, { ...DEFAULT_OPTIONS, ...options })).measurement
const codes = (m: Awaited<ReturnType<typeof measure>>) => m.notes.map(n => n.code)

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
