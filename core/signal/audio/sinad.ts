import { SpectrumAverager, bandPower } from '../spectrum/powerSpectrum'
import { hann } from '../spectrum/window'
import { powerOfTwoTo } from '../spectrum/fft'
import { lineAt } from '../tone/lines'
import { takeOut } from '../tone/withoutLines'
import { ratioToDb } from '../result'

const MOST_SAMPLES = 2 ** 19

/** A tone taken out of a series by its own line; what is left are noise, hum and distortion. */
export function withoutTone(x: Float64Array, rateHz: number, toneHz: number): { residual: Float64Array, tonePower: number } {
  const window = hann(x.length)
  const { re, im } = lineAt(x, null, window.values, window.sum, toneHz / rateHz)
  const mean = lineAt(x, null, window.values, window.sum, 0).re
  const residual = x.map(v => v - mean)
  takeOut(residual, { re, im }, toneHz / rateHz)
  return { residual, tonePower: (re * re + im * im) / 2 }
}

/**
 * (S + N + D)/(N + D) in a band, of one tone (TIA-603, IEC 60489 usage, from memory): the tone is taken out by its own line, the rest is
 * what the spectrum holds between the edges.
 * @returns dB; null when the band does not hold the tone
 */
export function sinadOf(x: Float64Array, rateHz: number, toneHz: number, lowHz: number, highHz: number): number | null {
  if (toneHz < lowHz || toneHz > highHz) return null
  const taken = x.length > MOST_SAMPLES ? x.subarray(Math.floor((x.length - MOST_SAMPLES) / 2), Math.floor((x.length + MOST_SAMPLES) / 2)) : x
  const { residual, tonePower } = withoutTone(taken, rateHz, toneHz)
  const rest = powerIn(residual, rateHz, lowHz, highHz)
  return rest > 0 ? ratioToDb((tonePower + rest) / rest) : null
}

/** Power of a real series between two frequencies. */
export function powerIn(x: Float64Array, rateHz: number, lowHz: number, highHz: number): number {
  const size = Math.min(powerOfTwoTo(x.length), 8192)
  const spectrum = new SpectrumAverager(size, size / 2)
  spectrum.add(x, [])
  return 2 * bandPower(spectrum.result(rateHz), lowHz, Math.min(highHz, rateHz / 2))
}
