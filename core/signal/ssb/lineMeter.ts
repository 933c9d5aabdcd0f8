import type { Series } from '../series'
import { blackmanHarris } from '../spectrum/window'
import { spectrumOfSamples } from '../spectrum/powerSpectrum'
import { powerOfTwoTo } from '../spectrum/fft'
import { noisePerHz } from '../tone/noisePerHz'
import { lineAmplitude, lineAt } from '../tone/lines'

/** Samples that a line is measured over. */
export const MAX_SAMPLES = 131_072
/** Lines nearer than this are one [Hz]. */
export const CLOSE_HZ = 40

/** A line with its amplitude. */
export interface Found {
  readonly hz: number
  readonly amplitude: number
}
export type Meter = (hz: number) => number
export interface LineMeter {
  readonly at: Meter
  /** standard deviation of the amplitude of a line at a place, by the noise beside it */
  readonly noiseAt: Meter
  /** length of what is measured */
  readonly seconds: number
  readonly binHz: number
  /** frequency of the largest line between two that passes a test */
  readonly strongest: (lowHz: number, highHz: number, counts: (hz: number) => boolean) => number | null
}

/** Amplitude of a line anywhere in the series, and the noise that it stands in. */
/** @param perSample noise as it stands beside the channel: there is at least so much */
export function lineMeter(series: Series, perSample: number): LineMeter {
  const n = powerOfTwoTo(Math.min(series.re.length, MAX_SAMPLES))
  const from = Math.floor((series.re.length - n) / 2)
  const [re, im] = [series.re.subarray(from, from + n), series.im.subarray(from, from + n)]
  const window = blackmanHarris(n)
  const { power, fromHz, binHz } = spectrumOfSamples(re, im, series.rateHz, n, n)
  const perHz = noisePerHz(re, im, series.rateHz)
  return {
    at: hz => lineAmplitude(lineAt(re, im, window.values, window.sum, hz / series.rateHz)),
    noiseAt: hz => Math.sqrt((Math.max(perSample, perHz(hz) * series.rateHz) * window.enbwBins) / n),
    seconds: n / series.rateHz,
    binHz,
    strongest: (lowHz, highHz, counts) => {
      let best = -1
      for (
        let k = Math.max(0, Math.ceil((lowHz - fromHz) / binHz));
        k < power.length && fromHz + k * binHz <= highHz;
        k++
      ) {
        if (counts(fromHz + k * binHz) && (best < 0 || power[k]! > power[best]!)) best = k
      }
      return best < 0 ? null : fromHz + best * binHz
    },
  }
}

/**
 * Frequency of a windowed line in noise [Hz].
 * @param ratio noise of the window over the line; for a Blackman-Harris window by simulation 0.66 of it over
 * the length
 */
export const frequencyUncertainty = (ratio: number, seconds: number) =>
  Math.hypot((0.66 * ratio) / seconds, 1e-4)
