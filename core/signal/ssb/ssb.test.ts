import { describe, expect, it } from 'vitest'
import { lineSignal, recordingOf, withNoise } from '../../../test/fixtures/signals'
import { DEFAULT_OPTIONS, measureRecording } from '..'

const CARRIER = 3000
const A = 0.2
const db = (below: number) => A * 10 ** (-below / 20)

/** Two tones with products, leak and opposite sideband at known levels. */
function twoTone(side: 1 | -1, { imd3 = 25, imd5 = 40, leak = 42, opposite = 46, ratio = 1 } = {}) {
  const [f1, f2] = [700, 1900]
  const at = (audioHz: number) => CARRIER + side * audioHz
  return lineSignal([
    [at(f1), A],
    [at(f2), A * ratio],
    [at(2 * f1 - f2), db(imd3)],
    [at(2 * f2 - f1), db(imd3 + 1)],
    [at(3 * f1 - 2 * f2), db(imd5)],
    [at(3 * f2 - 2 * f1), db(imd5 + 2)],
    [CARRIER, db(leak)],
    [CARRIER - side * f1, db(opposite)],
    [CARRIER - side * f2, db(opposite + 3)],
  ])
}
const ssb = async (made: ReturnType<typeof twoTone>, nominalHz: number | null = 27_183_000, snr = 70) =>
  (await measureRecording(recordingOf(withNoise(made, snr)), { ...DEFAULT_OPTIONS, as: 'ssb', nominalHz }))
    .measurement

describe('two tones', () => {
  it.each([
    [1, 'USB'],
    [-1, 'LSB'],
  ] as const)(
    'on side %d: sideband, products against tone and PEP, carrier, opposite sideband (C10, C11)',
    async (side, name) => {
      const { ssb: f } = await ssb(twoTone(side))
      expect(f!.sideband).toBe(name)
      expect(f!.suppressedCarrierHz).toBeCloseTo(27_183_000, 1)
      expect(f!.tonesHz.map(Math.round)).toEqual([700, 1900])
      for (const [read, truth] of [
        [f!.imd3DbBelowTone, 25],
        [f!.imd5DbBelowTone, 40],
        [f!.carrierDbBelowTone, 42],
        [f!.oppositeSidebandDb, 46],
      ])
        expect(read).toBeCloseTo(truth!, 1)
      // PEP is where all lines meet: the two tones, and the products as they stand to them.
      expect(f!.imd3DbBelowPep! - f!.imd3DbBelowTone!).toBeCloseTo(f!.pepDbfs! - 20 * Math.log10(A), 2)
      expect(f!.pepDbfs!).toBeGreaterThan(20 * Math.log10(2 * A))
    },
  )
  it('clean and equal: PEP is twice the mean, 3.01 dB (C09)', async () => {
    expect(
      (
        await ssb(
          lineSignal([
            [CARRIER + 700, A],
            [CARRIER + 1900, A],
          ]),
        )
      ).ssb!.pepToMeanDb,
    ).toBeCloseTo(10 * Math.log10(2), 2)
  })
  it.each([
    [1, 1.993],
    [3, 1.943],
    [6, 1.801],
  ])('unequal by %d dB: PEP over average is %d (C09)', async (unequalDb, ratio) => {
    expect(
      10 **
        ((
          await ssb(
            lineSignal([
              [CARRIER + 700, A],
              [CARRIER + 1900, A * 10 ** (-unequalDb / 20)],
            ]),
          )
        ).ssb!.pepToMeanDb! /
          10),
    ).toBeCloseTo(ratio, 2)
  })
  it('tones that are not alike are named, whichever of them is the weaker', async () => {
    const codes = async (low: number, high: number) =>
      (
        await ssb(
          lineSignal([
            [CARRIER + 700, low],
            [CARRIER + 1900, high],
          ]),
        )
      ).notes.map(n => n.code)
    expect(await codes(A, A)).not.toContain('unequal-tones')
    expect(await codes(A, A / 2)).toContain('unequal-tones')
    expect(await codes(A / 2, A)).toContain('unequal-tones')
  })
  it('a cubic y = x - c|x|^2 x puts the products where its expansion says', async () => {
    const [n, rate, c] = [48_000, 48_000, 1.25]
    const x = lineSignal([
      [700, A],
      [1900, A],
    ])
    const bent = { rateHz: rate, i: new Float64Array(n), q: new Float64Array(n) }
    for (let k = 0; k < n; k++) {
      const gain = 1 - c * (x.i[k]! ** 2 + x.q[k]! ** 2)
      bent.i[k] = x.i[k]! * gain
      bent.q[k] = x.q[k]! * gain
    }
    // Tones a - 3 c a^3, products c a^3.
    expect((await ssb(bent, 27_180_000)).ssb!.imd3DbBelowTone).toBeCloseTo(
      20 * Math.log10((A - 3 * c * A ** 3) / (c * A ** 3)),
      1,
    )
  })
  it('without a nominal frequency the leak between the usual tones tells the carrier', async () => {
    const { ssb: f } = await ssb(twoTone(-1), null)
    expect([f!.sideband, Math.round(f!.suppressedCarrierHz!)]).toEqual(['LSB', 27_183_000])
  })
  it('of unusual tones nothing is guessed: sideband and suppression stay open', async () => {
    const { ssb: f, notes } = await ssb(
      lineSignal([
        [9000, A],
        [9800, A],
      ]),
      null,
    )
    expect([f!.sideband, f!.suppressedCarrierHz, f!.carrierDbBelowTone]).toEqual([null, null, null])
    expect(notes.map(n => n.code)).toContain('carrier-not-found')
  })
  it('is told from AM and FM by itself', async () => {
    expect(
      (await measureRecording(recordingOf(withNoise(twoTone(1), 60)), DEFAULT_OPTIONS)).measurement.mode,
    ).toBe('ssb')
  })
})
