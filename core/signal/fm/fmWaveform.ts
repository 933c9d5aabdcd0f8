import { message } from '../../message'
import { narrowed } from '../channel/channeliser'
import { largestPart, type Limit } from '../limits'
import { note, type FmFigures, type Measured, type Note } from '../result'
import { powerIn } from '../audio/sinad'
import { meanPower, type Series } from '../series'
import { lowerPeaks, upperPeaks, type Peaks } from '../tone/waveformPeaks'
import { EDGE_SHARE, FM_AUDIO_HZ, RESIDUAL_HZ, type FmInput, type FmResult } from './fmInput'

/** Ripple and rounding [ratio of the deviation], and what a discriminator rounds [Hz]. */
const FLOOR = 5e-4
const FLOOR_HZ = 0.05
/**
 * What averages of a waveform are known to [ratio], its carrier line [dB] and its tones [Hz], standard (by
 * simulation).
 */
const RMS_KNOWN_TO = 0.02
const RESIDUAL_KNOWN_TO = 0.05
const CARRIER_LINE_DB = 0.3
const TONE_HZ = 0.02

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
    peaks: peaksOf(up, down, above, below),
    tonesHz,
    carsonHz: null,
    carrierLineDbc,
    residualHz: toneHz === null && tonesHz.length === 0 ? rms : null,
    audioHz: toneHz,
    thd: null,
    sinadDb: null,
  }
  const basis = { up, down, noise, rms, edgeHz: input.edgeRatio * EDGE_SHARE * FM_AUDIO_HZ }
  return {
    values,
    uncertainty: uncertaintyOf(values, basis),
    limitedBy: { deviationPositiveHz: limitOf(up, basis), deviationNegativeHz: limitOf(down, basis) },
    notes: [...notes, wordsOf(input)],
    cycle: null,
  }
}

function peaksOf(
  up: Peaks,
  down: Peaks,
  above: (f: number) => number,
  below: (f: number) => number,
): NonNullable<FmFigures['peaks']> {
  return {
    positiveHz: above(up.extreme.value),
    positive999Hz: above(up.p999.value),
    positive99Hz: above(up.p99.value),
    negativeHz: below(down.extreme.value),
    negative999Hz: below(down.p999.value),
    negative99Hz: below(down.p99.value),
  }
}

/** What the uncertainties of a waveform are made of [Hz]. */
interface Basis {
  readonly up: Peaks
  readonly down: Peaks
  readonly noise: number
  readonly rms: number
  /** what a narrowed channel leaves open */
  readonly edgeHz: number
}

const floorOf = ({ up, down }: Basis) =>
  Math.hypot(FLOOR * Math.max(up.extreme.value, -down.extreme.value), FLOOR_HZ)

function uncertaintyOf(v: FmFigures, basis: Basis): Measured<FmFigures>['uncertainty'] {
  const { up, down, rms, edgeHz } = basis
  const of = (own: number) => Math.hypot(own, floorOf(basis), edgeHz)
  return {
    deviationPositiveHz: of(up.extreme.uncertainty),
    deviationNegativeHz: of(down.extreme.uncertainty),
    deviationRmsHz: of(RMS_KNOWN_TO * rms),
    residualHz: v.residualHz === null ? null : of(RESIDUAL_KNOWN_TO * rms),
    carrierLineDbc: CARRIER_LINE_DB,
    audioHz: v.audioHz === null ? null : TONE_HZ,
    tonesHz: v.tonesHz.map(() => TONE_HZ),
    peaks: {
      positiveHz: of(up.extreme.uncertainty),
      positive999Hz: of(up.p999.uncertainty),
      positive99Hz: of(up.p99.uncertainty),
      negativeHz: of(down.extreme.uncertainty),
      negative999Hz: of(down.p999.uncertainty),
      negative99Hz: of(down.p99.uncertainty),
    },
  }
}

function limitOf({ extreme }: Peaks, basis: Basis): Limit | null {
  const own = extreme.uncertainty
  return largestPart({
    noise: Math.min(own, basis.noise),
    length: Math.sqrt(Math.max(0, own ** 2 - basis.noise ** 2)),
    recorder: floorOf(basis),
    neighbour: basis.edgeHz,
  })
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
  if (toneHz !== null) return note('hum-beside-tone', message('note.humBesideTone', { hz: hz(toneHz) }))
  if (tonesHz.length === 2)
    return note('two-tones', message('note.twoTones', { hz: hz(tonesHz[0]!), hz2: hz(tonesHz[1]!) }))
  return note('no-tone', message('note.noToneFm'))
}
