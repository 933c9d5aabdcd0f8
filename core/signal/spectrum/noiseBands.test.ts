import { expect, it } from 'vitest'
import { noiseBeside } from './noiseBands'
import type { PowerSpectrum } from './powerSpectrum'

const BIN_HZ = 50
const FROM_HZ = -40_000
const SIGNAL_HZ = 20_000

/** Steady noise of one level, and of another within 3 kHz of a signal off the middle. */
function spectrum(noise: number, sidebands: number): PowerSpectrum {
  const count = (-2 * FROM_HZ) / BIN_HZ
  const power = Float64Array.from({ length: count }, (_, k) =>
    Math.abs(FROM_HZ + k * BIN_HZ - SIGNAL_HZ) < 3000 ? sidebands : noise,
  )
  const kurtosis = new Float64Array(count).fill(1)
  return { binHz: BIN_HZ, fromHz: FROM_HZ, power, segments: 400, kurtosis, window: 'none', rbwHz: BIN_HZ }
}
/** What the same bins give when there is no signal at all: the level with the share of its quantile. */
const alone = (noise: number) => noiseBeside(spectrum(noise, noise), SIGNAL_HZ, () => true)

it('the sidebands of a signal off the middle are no noise, the noise below them is', () => {
  expect(noiseBeside(spectrum(1e-9, 1e-12), SIGNAL_HZ, () => true)).toBe(alone(1e-9))
  expect(noiseBeside(spectrum(1e-9, 1e-6), SIGNAL_HZ, () => true)).toBe(alone(1e-9))
})
it('is looked for beside the signal, not at the same distance on the other side of the middle', () => {
  const nearby = (hz: number) => Math.abs(hz - SIGNAL_HZ) < 9000
  expect(noiseBeside(spectrum(1e-9, 1e-6), SIGNAL_HZ, nearby)).toBe(alone(1e-9))
})
