import { bandPower, spectrumOfSamples } from './spectrum/powerSpectrum'
import { powerOfTwoTo } from './spectrum/fft'
import { powerIn } from './audio/sinad'
import { instantaneousHz } from './fm/fmFigures'
import { FM_AUDIO_HZ } from './fm/fmInput'
import { noiseOfDiscriminator } from './fm/fmWaveform'
import { envelopeOf, type Series } from './series'

export type SignalMode = 'am' | 'fm' | 'ssb'

/**
 * An envelope that varies less is constant: 9 % of AM depth (square of the standard deviation over the mean).
 */
const CONSTANT = 0.004
/** Both sidebands of AM hold the same power within this ratio. */
const ALIKE = 2
/** Share of the power that is left in the carrier line of AM, at most 150 % modulated. */
const CARRIER_SHARE = 0.25
const TONE_HZ = [150, 6000] as const
/** A carrier that moves less than this is bare, hum and noise allowed for [Hz rms]. */
const MIN_MOVE_HZ = 8
/**
 * Most of speech and the usual tones lie about here: deviation over it is an index to hold against a depth
 * [Hz].
 */
const TYPICAL_AUDIO_HZ = 1000

/**
 * Tells AM, FM and SSB apart: a constant envelope is FM (or a bare carrier), an envelope that varies about a
 * carrier with equal sidebands is AM, everything else is SSB.
 * @param series keyed part, its strongest line at 0 Hz
 */
export function classify(series: Series, noisePower: number): SignalMode {
  const { mean, power } = sizeOf(series)
  const carrier = Math.max(mean * mean - noisePower / 2, 1e-30)
  const varies = (power - noisePower - carrier) / carrier
  if (varies < CONSTANT + (3 * noisePower) / power / Math.sqrt(series.re.length))
    return constantMode(series, mean, noisePower)
  const size = powerOfTwoTo(Math.min(series.re.length, 8192))
  const s = spectrumOfSamples(series.re, series.im, series.rateHz, size)
  const line = bandPower(s, -3 * s.rbwHz, 3 * s.rbwHz)
  const edge = Math.max(100, 4 * s.rbwHz)
  const [upper, lower] = [bandPower(s, edge, 4500), bandPower(s, -4500, -edge)].map(p =>
    Math.max(p - (noisePower * 4400) / series.rateHz, 1e-30),
  ) as [number, number]
  const alike = Math.max(upper, lower) / Math.min(upper, lower) < ALIKE
  return alike && line / Math.max(power - noisePower, 1e-30) > CARRIER_SHARE ? 'am' : 'ssb'
}

function sizeOf({ re, im }: Series): { mean: number; power: number } {
  let mean = 0
  let power = 0
  for (let n = 0; n < re.length; n++) {
    const p = re[n]! * re[n]! + im[n]! * im[n]!
    power += p
    mean += Math.sqrt(p)
  }
  return { mean: mean / re.length, power: power / re.length }
}

/** A little of each modulation: what moves more decides; a bare carrier counts as AM without depth. */
function constantMode(series: Series, mean: number, noisePower: number): SignalMode {
  const hz = instantaneousHz(series)
  const inAudio = (x: Float64Array) => Math.max(0, powerIn(x, series.rateHz, TONE_HZ[0], FM_AUDIO_HZ))
  const average = hz.reduce((a, b) => a + b, 0) / Math.max(1, hz.length)
  const ofNoise = noiseOfDiscriminator(series, noisePower / series.rateHz) ** 2
  const moves = inAudio(hz.map(f => f - average)) - ofNoise
  const varies =
    Math.max(
      0,
      inAudio(envelopeOf(series).map(y => y - mean)) -
        (noisePower / 2) * Math.min(1, (2 * FM_AUDIO_HZ) / series.rateHz),
    ) /
    mean ** 2
  const isMoved = moves > Math.max(MIN_MOVE_HZ ** 2, 0.5 * ofNoise)
  return isMoved && moves / TYPICAL_AUDIO_HZ ** 2 > varies ? 'fm' : 'am'
}
