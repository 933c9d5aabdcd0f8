import { narrowed } from '../channel/channeliser'
import { largestPart } from '../limits'
import { note, type FmFigures, type Measured, type Note } from '../result'
import { powerIn } from '../audio/sinad'
import { meanPower, type Series } from '../series'
import { lowerPeaks, upperPeaks } from '../tone/waveformPeaks'
import { EDGE_SHARE, FM_AUDIO_HZ, RESIDUAL_HZ, type FmInput, type FmResult } from './fmInput'

/** Ripple and rounding [ratio of the deviation], and what a discriminator rounds [Hz]. */
const FLOOR = 5e-4
const FLOOR_HZ = 0.05

/**
 * FM that no single tone explains: the frequency as it was sent, limited to its audio; extremes and what
 * little of the time passes.
 */
export function fmWaveform(input: FmInput, carrierLineDbc: number | null, notes: readonly Note[]): FmResult {
  const { series, hz, meanHz, referenceHz, toneHz, tonesHz } = input
  const moves = {
    re: Float32Array.from(hz, f => f - meanHz),
    im: new Float32Array(hz.length),
    rateHz: series.rateHz,
  }
  const audio = narrowed(moves, 4 * FM_AUDIO_HZ, FM_AUDIO_HZ)
  const noise = Math.hypot(noiseOfDiscriminator(series, input.noisePower / input.noiseBandHz), FLOOR_HZ)
  const of = { waveform: Float64Array.from(audio.re), rateHz: audio.rateHz, audioHz: FM_AUDIO_HZ, noise }
  const [up, down] = [upperPeaks(of), lowerPeaks(of)]
  const [above, below] = [(f: number) => f + meanHz - referenceHz, (f: number) => referenceHz - meanHz - f]
  const rms = Math.sqrt(Math.max(0, powerIn(of.waveform, audio.rateHz, ...RESIDUAL_HZ)))
  const values: FmFigures = {
    deviationPositiveHz: above(up.extreme.value),
    deviationNegativeHz: below(down.extreme.value),
    deviationFundamentalHz: null,
    deviationRmsHz: rms,
    peaks: {
      positiveHz: above(up.extreme.value),
      positive999Hz: above(up.p999.value),
      positive99Hz: above(up.p99.value),
      negativeHz: below(down.extreme.value),
      negative999Hz: below(down.p999.value),
      negative99Hz: below(down.p99.value),
    },
    tonesHz,
    carsonHz: null,
    carrierLineDbc,
    residualHz: toneHz === null && tonesHz.length === 0 ? rms : null,
    audioHz: toneHz,
    thd: null,
    sinadDb: null,
  }
  const size = Math.max(up.extreme.value, -down.extreme.value)
  const u = (own: number) =>
    Math.hypot(own, FLOOR * size, FLOOR_HZ, input.edgeRatio * EDGE_SHARE * FM_AUDIO_HZ)
  const uncertainty: Measured<FmFigures>['uncertainty'] = {
    deviationPositiveHz: u(up.extreme.uncertainty),
    deviationNegativeHz: u(down.extreme.uncertainty),
    deviationRmsHz: u(0.02 * rms),
    residualHz: values.residualHz === null ? null : u(0.05 * rms),
    carrierLineDbc: 0.3,
    audioHz: toneHz === null ? null : 0.02,
    tonesHz: tonesHz.map(() => 0.02),
    peaks: {
      positiveHz: u(up.extreme.uncertainty),
      positive999Hz: u(up.p999.uncertainty),
      positive99Hz: u(up.p99.uncertainty),
      negativeHz: u(down.extreme.uncertainty),
      negative999Hz: u(down.p999.uncertainty),
      negative99Hz: u(down.p99.uncertainty),
    },
  }
  const limit = (own: number) =>
    largestPart({
      noise: Math.min(own, noise),
      length: Math.sqrt(Math.max(0, own ** 2 - noise ** 2)),
      recorder: Math.hypot(FLOOR * size, FLOOR_HZ),
      neighbour: input.edgeRatio * EDGE_SHARE * FM_AUDIO_HZ,
    })
  const limitedBy = {
    deviationPositiveHz: limit(up.extreme.uncertainty),
    deviationNegativeHz: limit(down.extreme.uncertainty),
  }
  return { values, uncertainty, limitedBy, notes: [...notes, wordsOf(input)], cycle: null }
}

/**
 * Deviation [Hz rms] that noise makes in a discriminator between zero and the end of the audio: its density
 * grows with the square of the frequency (Rice, from memory).
 */
export function noiseOfDiscriminator(series: Series, noisePerHz: number): number {
  const carrier = Math.max(meanPower(series), 1e-30)
  return Math.sqrt(((noisePerHz / carrier) * FM_AUDIO_HZ ** 3) / 3)
}

function wordsOf({ toneHz, tonesHz }: FmInput): Note {
  const hz = (f: number) => `${Math.round(f)} Hz`
  if (toneHz !== null)
    return note('hum-beside-tone', `Hum stands beside the tone of ${hz(toneHz)}: peaks are those of both.`)
  if (tonesHz.length === 2)
    return note(
      'two-tones',
      `Two tones, ${hz(tonesHz[0]!)} and ${hz(tonesHz[1]!)}: peaks are where they meet.`,
    )
  return note(
    'no-tone',
    'No steady tone explains the modulation (voice or noise): peaks are the extremes of the deviation up to 5 kHz of audio, beside them those that 0.1 and 1 % of the time pass.',
  )
}
