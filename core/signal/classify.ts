import { bandPower, SpectrumAverager } from './spectrum/powerSpectrum'
import { powerOfTwoTo } from './spectrum/fft'
import { instantaneousHz } from './fm/fmFigures'
import { strongestTone } from './tone/lines'
import { envelopeOf, type Series } from './series'

export type SignalMode = 'am' | 'fm' | 'ssb'

/** An envelope that varies less is constant: 9 % of AM depth (square of the standard deviation over the mean). */
const CONSTANT = 0.004
/** Both sidebands of AM hold the same power within this ratio. */
const ALIKE = 2
/** Share of the power that is left in the carrier line of AM, at most 150 % modulated. */
const CARRIER_SHARE = 0.25
const TONE_HZ = [150, 6000] as const

/**
 * Tells AM, FM and SSB apart: a constant envelope is FM (or a bare carrier), an envelope that varies about a carrier with
 * equal sidebands is AM, everything else is SSB.
 * @param series keyed part, its strongest line at 0 Hz
 */
export function classify(series: Series, noisePower: number): SignalMode {
  const envelope = envelopeOf(series)
  const mean = envelope.reduce((a, b) => a + b, 0) / envelope.length
  const power = envelope.reduce((a, b) => a + b * b, 0) / envelope.length
  const carrier = Math.max(mean * mean - noisePower / 2, 1e-30)
  const varies = (power - noisePower - carrier) / carrier
  if (varies < CONSTANT + 3 * noisePower / power / Math.sqrt(envelope.length)) return constantMode(series, envelope, mean)
  const size = powerOfTwoTo(Math.min(series.re.length, 8192))
  const averager = new SpectrumAverager(size, size / 2)
  averager.add(series.re, series.im)
  const s = averager.result(series.rateHz)
  const line = bandPower(s, -3 * s.rbwHz, 3 * s.rbwHz)
  const edge = Math.max(100, 4 * s.rbwHz)
  const [upper, lower] = [bandPower(s, edge, 4500), bandPower(s, -4500, -edge)].map(p => Math.max(p - noisePower * 4400 / series.rateHz, 1e-30)) as [number, number]
  const alike = Math.max(upper, lower) / Math.min(upper, lower) < ALIKE
  return alike && line / Math.max(power - noisePower, 1e-30) > CARRIER_SHARE ? 'am' : 'ssb'
}

/** A little of each modulation: the larger index decides; a bare carrier counts as AM without depth. */
function constantMode(series: Series, envelope: Float64Array, mean: number): SignalMode {
  const hz = instantaneousHz(series)
  const inFrequency = strongestTone(hz, series.rateHz, ...TONE_HZ)
  const spread = Math.sqrt(hz.reduce((a, b) => a + b * b, 0) / hz.length - (hz.reduce((a, b) => a + b, 0) / hz.length) ** 2)
  if (!inFrequency) return 'am'
  const index = spread * Math.sqrt(2 * inFrequency.powerRatio) / inFrequency.hz
  const inEnvelope = strongestTone(envelope, series.rateHz, ...TONE_HZ)
  const variance = envelope.reduce((a, b) => a + (b - mean) ** 2, 0) / envelope.length
  const depth = inEnvelope ? Math.sqrt(2 * variance * inEnvelope.powerRatio) / mean : 0
  return index > Math.max(depth, 0.01) && inFrequency.powerRatio > 0.01 ? 'fm' : 'am'
}
