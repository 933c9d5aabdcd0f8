import type { Samples } from '../spectrum/fastFft'
import { powerOfTwoTo } from '../spectrum/fft'
import { spectrumOfSamples } from '../spectrum/powerSpectrum'

const LARGEST = 4096
/** Segments that are averaged at least: one alone tells a level within a factor of ten. */
const MIN_SEGMENTS = 4
/** Bins on either side that are looked at: beyond the lobe of a line in the middle. */
const FROM_BINS = 6
const TO_BINS = 16

/**
 * Noise of a series by its spectrum [power per Hz; of a real one on either side of zero]: the middle of what
 * stands about each place, lines left out.
 * @param im null = real
 */
export function noisePerHz(re: Samples, im: Samples | null, rateHz: number): (hz: number) => number {
  const size = Math.min(powerOfTwoTo(re.length / MIN_SEGMENTS), LARGEST)
  const { power, fromHz, binHz, segments } = spectrumOfSamples(re, im, rateHz, size)
  // The middle of averaged noise over its mean (chi-square with two degrees of freedom a segment; Wilson and
  // Hilferty 1931, from memory).
  const middle = (1 - 1 / (9 * segments)) ** 3
  return hz => {
    // Beyond the series the noise of its edge is the best guess.
    const k = Math.max(0, Math.min(power.length - 1, Math.round((hz - fromHz) / binHz)))
    const beside = Array.from({ length: TO_BINS - FROM_BINS + 1 }, (_, n) => [
      k - FROM_BINS - n,
      k + FROM_BINS + n,
    ])
      .flat()
      .filter(n => n >= 0 && n < power.length)
      .map(n => power[n]!)
    beside.sort((a, b) => a - b)
    return beside[Math.floor(beside.length / 2)]! / middle / binHz
  }
}

/** Noise bandwidth of the Hann window [bins]. */
const HANN_ENBW = 1.5
/**
 * Frequency of a line through a Hann window: its noise over its size and over the length, times this (by
 * simulation).
 */
const FREQUENCY_BY_LINE = 0.82

/**
 * Standard deviation of the amplitude of a line of a real series.
 * @param perHz noise beside it
 * @param seconds length of the window
 */
export const lineDeviation = (perHz: number, seconds: number) => Math.sqrt((2 * perHz * HANN_ENBW) / seconds)

/** Standard deviation of its frequency [Hz]. @param ratio deviation of its amplitude over the amplitude */
export const frequencyDeviation = (ratio: number, seconds: number) =>
  (FREQUENCY_BY_LINE * ratio) / seconds + 1e-7
