import { describe, expect, it } from 'vitest'
import { spectrumPicture } from './pictures'
import type { PowerSpectrum } from './spectrum/powerSpectrum'

const BINS = 10_000
const BIN_HZ = 10
const FLOOR = 1e-9
/** A floor with one splatter line of a single bin, between the points of the picture. */
function spectrumWithLineAt(bin: number, power: number): PowerSpectrum {
  const bins = new Float64Array(BINS).fill(FLOOR)
  bins[bin] = power
  return {
    binHz: BIN_HZ,
    fromHz: (-BINS / 2) * BIN_HZ,
    power: bins,
    segments: 1,
    kurtosis: new Float64Array(BINS).fill(1),
    window: 'none',
    rbwHz: BIN_HZ,
  }
}

describe('the picture of the spectrum', () => {
  it('never loses a line of one bin, wherever it falls in its group', () => {
    for (const bin of [7001, 7002, 7003, 7004, 7005]) {
      const { dbc, offsetHz } = spectrumPicture(spectrumWithLineAt(bin, 1e-4), 0, 1, FLOOR)!
      const top = dbc.indexOf(Math.max(...dbc))
      expect(dbc[top]).toBeCloseTo(-40, 9)
      expect(Math.abs(offsetHz[top]! - (bin - BINS / 2) * BIN_HZ)).toBeLessThan(5 * BIN_HZ)
    }
  })
  it('shows every other point at the floor, in dB below the carrier', () => {
    const { dbc, floorDbc } = spectrumPicture(spectrumWithLineAt(0, FLOOR), 0, 10, FLOOR)!
    expect(dbc.length).toBe(2000)
    expect([floorDbc, Math.min(...dbc), Math.max(...dbc)].map(v => v.toFixed(6))).toEqual(
      Array(3).fill('-100.000000'),
    )
  })
})
