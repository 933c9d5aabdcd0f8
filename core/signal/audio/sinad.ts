import { spectrumOfSamples, bandPower } from '../spectrum/powerSpectrum'
import { hann } from '../spectrum/window'
import { powerOfTwoTo } from '../spectrum/fft'
import { lineAt } from '../tone/lines'
import { takeOut } from '../tone/withoutLines'
import { ratioToDb } from '../result'

/** Averages over more than this would tell nothing new. */
export const MAX_AVERAGED = 2 ** 19

/** A series with its tone taken out. */
export interface ToneApart {
  /** what is left: noise, hum and distortion */
  readonly residual: Float64Array
  readonly rateHz: number
  readonly toneHz: number
  /** mean square of the tone */
  readonly tonePower: number
}

/** The middle of a long series. */
export function middleOf(x: Float64Array): Float64Array {
  const from = Math.max(0, Math.floor((x.length - MAX_AVERAGED) / 2))
  return x.subarray(from, from + MAX_AVERAGED)
}

/**
 * Takes a tone out of a series by its own line, and its mean as well.
 * @param toneHz to within a bin of the transform; the line is closed in upon from there
 * @returns the rest, as long as x, and the power of the tone in the square of the unit of x
 */
export function withoutTone(x: Float64Array, rateHz: number, toneHz: number): ToneApart {
  const window = hann(x.length)
  const { re, im } = lineAt(x, null, window.values, window.sum, toneHz / rateHz)
  const mean = lineAt(x, null, window.values, window.sum, 0).re
  const residual = Float64Array.from(x)
  for (let n = 0; n < residual.length; n++) residual[n]! -= mean
  takeOut(residual, { re, im }, toneHz / rateHz)
  return { residual, rateHz, toneHz, tonePower: (re * re + im * im) / 2 }
}

/**
 * (S + N + D)/(N + D) in a band, of one tone (TIA-603, IEC 60489 usage, from memory): the tone is taken out
 * by its own line, the rest is what the spectrum holds between the edges.
 * @returns dB; null when the band does not hold the tone
 */
export function sinadOf(
  { residual, rateHz, toneHz, tonePower }: ToneApart,
  lowHz: number,
  highHz: number,
): number | null {
  if (toneHz < lowHz || toneHz > highHz) return null
  const rest = powerIn(residual, rateHz, lowHz, highHz)
  return rest > 0 ? ratioToDb((tonePower + rest) / rest) : null
}

/** Power of a real series between two frequencies. */
export function powerIn(x: Float64Array, rateHz: number, lowHz: number, highHz: number): number {
  const size = Math.min(powerOfTwoTo(x.length), 8192)
  return 2 * bandPower(spectrumOfSamples(x, null, rateHz, size), lowHz, Math.min(highHz, rateHz / 2))
}
