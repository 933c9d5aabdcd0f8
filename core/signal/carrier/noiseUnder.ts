import { envelopeOf, meanPower, middlePart, type Series } from '../series'
import { powerOfTwoTo } from '../spectrum/fft'
import { noisePerHz } from '../tone/noisePerHz'
import { spectrumOfSamples } from '../spectrum/powerSpectrum'

/**
 * Noise that came with a signal, told by the part of the pointer that the modulation leaves alone: noise of a
 * receiver is as large across the carrier as along it. AM stands along it, FM turns it and leaves its size.
 * So noise is known under the signal itself, whatever shape it has there; what a set modulates beside what it
 * should is in it too, so it is a bound from above.
 */
export interface NoiseUnder {
  /**
   * variance that it has in the demodulated audio: of the envelope (AM), of the frequency in Hz squared (FM)
   */
  readonly inAudio: number
  /** power of it in the channel, both parts together */
  readonly power: number
  /** density next to the carrier against its power, both parts together [1/Hz] */
  readonly perCarrierHz: number
}

/** The middle that is looked at. */
const MAX_SAMPLES = 131_072
const MAX_TRANSFORMED = 8192
/** Below this the carrier itself was followed [Hz]. */
const LOWEST_HZ = 60

/** Across a carrier that stands still at phase zero. */
export function noiseAcross(still: Series, audioHz: number): NoiseUnder {
  const { im, rateHz } = middlePart(still, MAX_SAMPLES)
  const carrier = Math.max(meanPower(still), 1e-30)
  return {
    inAudio: weighed(im, rateHz, audioHz, () => 1),
    power: 2 * meanSquare(im),
    perCarrierHz: (2 * noisePerHz(im, null, rateHz)(0)) / carrier,
  }
}

/**
 * Along a pointer that only turns: a change of its size by one part in a thousand is a turn of a thousandth
 * across it.
 */
export function noiseAlong(series: Series, audioHz: number): NoiseUnder {
  const middle = middlePart(series, MAX_SAMPLES)
  const size = envelopeOf(middle)
  const mean = Math.max(size.reduce((a, b) => a + b, 0) / Math.max(1, size.length), 1e-15)
  const changes = size.map(y => y / mean - 1)
  return {
    inAudio: weighed(changes, series.rateHz, audioHz, hz => hz * hz),
    power: 2 * meanSquare(changes) * mean * mean,
    perCarrierHz: 2 * noisePerHz(changes, null, series.rateHz)(0),
  }
}

/** Power of a real series up to a frequency, each bin by a weight. */
function weighed(
  x: Float32Array | Float64Array,
  rateHz: number,
  highestHz: number,
  weight: (hz: number) => number,
): number {
  const size = Math.min(powerOfTwoTo(x.length), MAX_TRANSFORMED)
  if (size < 64) return 0
  const { power, fromHz, binHz } = spectrumOfSamples(x, null, rateHz, size)
  let sum = 0
  for (
    let k = Math.ceil((LOWEST_HZ - fromHz) / binHz);
    k < power.length && fromHz + k * binHz < highestHz;
    k++
  )
    sum += 2 * power[k]! * weight(fromHz + k * binHz)
  return sum
}

function meanSquare(x: Float32Array | Float64Array): number {
  let sum = 0
  for (let n = 0; n < x.length; n++) sum += x[n]! * x[n]!
  return sum / Math.max(1, x.length)
}
