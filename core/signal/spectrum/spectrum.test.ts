import { describe, expect, it } from 'vitest'
import { lineSignal, withNoise } from '../../../test/fixtures/signals'
import { transformOf } from './fft'
import { spectrumOfSamples, bandPower, holds, noiseFloor } from './powerSpectrum'
import { adjacentFigures, maskFigure, occupiedBandwidth } from './spectrumFigures'
import { blackmanHarris, hann, kaiserLowpass } from './window'

const RATE = 96_000
function spectrumOf(made: ReturnType<typeof lineSignal>, size = 4096) {
  return spectrumOfSamples(made.i, made.q, made.rateHz, size)
}

describe('tapers', () => {
  it('Blackman-Harris: 92 dB down beyond its main lobe, noise bandwidth of two bins (Harris 1978)', () => {
    const { values, enbwBins } = blackmanHarris(64)
    expect(enbwBins).toBeCloseTo(2.0, 1)
    const { input, output, run } = transformOf(4096)
    input.fill(0)
    values.forEach((v, n) => (input[2 * n] = v))
    run()
    const db = (k: number) =>
      10 * Math.log10((output[2 * k]! ** 2 + output[2 * k + 1]! ** 2) / output[0]! ** 2)
    for (let k = 4 * 64 + 1; k < 2048; k++) expect(db(k)).toBeLessThan(-91.9)
  })
  it('Hann: noise bandwidth of one and a half bins', () => expect(hann(512).enbwBins).toBeCloseTo(1.5, 3))
  it('a low pass passes 0 Hz whole', () =>
    expect(kaiserLowpass(0.1, 0.05).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12))
})

describe('power', () => {
  it('of all bins is that of the signal (Parseval), wherever its lines lie', () => {
    const made = lineSignal(
      [
        [1234.5, 0.3],
        [-20_000, 0.1],
      ],
      RATE,
    )
    expect(bandPower(spectrumOf(made), -RATE / 2, RATE / 2)).toBeCloseTo(0.09 + 0.01, 4)
  })
  it('of a band is that of its lines, and an edge on a line halves it', () => {
    const s = spectrumOf(lineSignal([[9000, 0.2]], RATE))
    expect(bandPower(s, 8000, 10_000)).toBeCloseTo(0.04, 6)
    expect(bandPower(s, 9000, 12_000)).toBeCloseTo(0.02, 3)
    expect([holds(s, -48_000, 47_000), holds(s, 0, 48_500)]).toEqual([true, false])
  })
  it.each([1, 4, 12])('noise floor is that of the noise under lines, with seed %d', seed => {
    const made = withNoise(
      lineSignal(
        [
          [1000, 0.3],
          [2000, 0.2],
        ],
        RATE,
      ),
      0,
      1e-4,
      seed,
    )
    const s = spectrumOf(made)
    expect(10 * Math.log10((noiseFloor(s) * s.power.length) / 1e-4)).toBeCloseTo(0, 0)
  })
  it('of less than one segment is still told', () => {
    expect(
      spectrumOfSamples(
        Float64Array.from({ length: 500 }, () => 0.5),
        null,
        RATE,
        4096,
      ).segments,
    ).toBe(1)
  })
})

describe('figures of a spectrum', () => {
  it('99 % of the power of three lines lies between the outer two', () => {
    const s = spectrumOf(
      withNoise(
        lineSignal(
          [
            [0, 0.3],
            [2500, 0.1],
            [-2500, 0.1],
          ],
          RATE,
        ),
        60,
      ),
    )
    const w = occupiedBandwidth(s, noiseFloor(s), -20_000, 20_000)!
    expect(Math.abs(w.highHz - w.lowHz - 5000)).toBeLessThan(2 * s.rbwHz)
    expect(occupiedBandwidth(s, 1, -20_000, 20_000), 'nothing above the floor').toBeNull()
  })
  it('a line of 2.5 kHz of audio at 5 kHz counts half to each side: the inner 8 kHz do not see it', () => {
    const s = spectrumOf(
      lineSignal(
        [
          [0, 0.3],
          [5000, 0.03],
        ],
        RATE,
      ),
    )
    const find = (bandwidthHz: number) =>
      adjacentFigures(s, 0, 10_000, 0.09).find(a => a.offsetHz === 10_000 && a.bandwidthHz === bandwidthHz)!
        .dbc
    expect(find(10_000)).toBeCloseTo(-23, 0)
    expect(find(8000)).toBeLessThan(-80)
  })
  it('neighbours that the span does not hold are left out', () => {
    expect(adjacentFigures(spectrumOf(lineSignal([[0, 0.3]], 24_000)), 0, 10_000, 0.09)).toEqual([])
  })
  it('a mask is broken where it is broken most', () => {
    const s = spectrumOf(
      lineSignal(
        [
          [0, 0.3],
          [6000, 0.03],
          [-15_000, 0.0003],
        ],
        RATE,
      ),
    )
    const mask = maskFigure(
      s,
      'X',
      [
        { fromHz: 4000, toHz: 8000, belowDb: 25 },
        { fromHz: 8000, toHz: 20_000, belowDb: 35 },
      ],
      0,
      0.09,
      { untold: () => false, guardDb: 0.5 },
    )!
    expect(mask.pass).toBe(false)
    expect(mask.worstMarginDb).toBeCloseTo(-5, 1)
    expect(
      maskFigure(s, 'X', [{ fromHz: 60_000, toHz: 80_000, belowDb: 60 }], 0, 0.09, {
        untold: () => false,
        guardDb: 0.5,
      }),
    ).toBeNull()
    const untold = maskFigure(s, 'X', [{ fromHz: 4000, toHz: 8000, belowDb: 25 }], 0, 0.09, {
      untold: () => true,
      guardDb: 0.5,
    })!
    expect(untold.pass, 'what is noise or somebody else breaks no mask').toBeNull()
  })
})
