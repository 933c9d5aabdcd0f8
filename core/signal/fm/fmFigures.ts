import { meanPower, type Series } from '../series'
import { distortionOf, drawReal, extremes, realCycle, withoutNoiseLines, LEAST_CYCLES } from '../tone/cycle'
import { lineAmplitude, lineAt, type Line } from '../tone/lines'
import { note, ratioToDb, type FmFigures, type Measured } from '../result'
import { SpectrumAverager } from '../spectrum/powerSpectrum'
import { powerOfTwoTo } from '../spectrum/fft'
import { hann } from '../spectrum/window'
import { sinadOf, powerIn, withoutTone } from '../audio/sinad'

/** Audio of a deviation is judged up to here [Hz]; noise of a discriminator grows with frequency. */
export const FM_AUDIO_HZ = 5000
/** Residual FM is what is left between these [Hz] (common practice). */
const RESIDUAL_HZ = [50, 3000] as const
const VOICE_QUANTILE = 0.001
/** Ripple and rounding [ratio of the deviation]. */
const FLOOR = 5e-4
const LINE_WINDOW_S = 0.05

/** Frequency of every sample against the middle of the channel [Hz], by the turn from one sample to the next. */
export function instantaneousHz({ re, im, rateHz }: Series): Float64Array {
  const out = new Float64Array(Math.max(0, re.length - 1))
  const scale = rateHz / (2 * Math.PI)
  for (let n = 0; n < out.length; n++) out[n] = Math.atan2(im[n + 1]! * re[n]! - re[n + 1]! * im[n]!, re[n + 1]! * re[n]! + im[n + 1]! * im[n]!) * scale
  return out
}

/** Mean frequency, weighted so that modulation falls out; the weights are those that phase noise asks for (Kay 1989, from memory). */
export function meanFrequency(hz: Float64Array): number {
  let [sum, weights] = [0, 0]
  for (let n = 0; n < hz.length; n++) {
    const w = 0.5 - 0.5 * Math.cos(2 * Math.PI * (n + 0.5) / hz.length)
    sum += w * hz[n]!
    weights += w
  }
  return weights > 0 ? sum / weights : 0
}

export interface FmInput {
  /** the modulated stretch */
  readonly series: Series
  readonly hz: Float64Array
  readonly toneHz: number | null
  /** what peaks are counted from, in the channel [Hz] */
  readonly referenceHz: number
  readonly isNominal: boolean
  readonly meanHz: number
  readonly noisePower: number
}

export interface FmResult extends Measured<FmFigures> { /** one cycle of the deviation for a picture */ readonly cycle: Float64Array | null }

/** Everything about frequency modulation (C12 to C14), from the cycle of its tone; voice by its extremes. */
export function fmFigures(input: FmInput): FmResult {
  const { series, hz, toneHz, meanHz, referenceHz, isNominal } = input
  const steady = toneHz !== null && toneHz * hz.length / series.rateHz >= LEAST_CYCLES
  const reference = note('deviation-reference', isNominal ? 'Peaks of the deviation are counted from the nominal frequency.' : 'Peaks of the deviation are counted from the mean frequency.')
  const carrierLineDbc = carrierLine(input)
  if (!steady) return voiceFigures(input, carrierLineDbc, [reference])
  const { residual } = withoutTone(hz, series.rateHz, toneHz)
  const whole = realCycle(hz, series.rateHz, toneHz, FM_AUDIO_HZ * 1.5)
  const perHz = noisePerHz(residual, series.rateHz)
  const raw = withoutNoiseLines(whole, false, k => Math.sqrt(2 * perHz(k * toneHz) * 1.5 * series.rateHz / whole.samples))
  const lines = raw.lines.map((l, k) => flattened(l, k * toneHz / series.rateHz))
  const cycle = drawReal({ ...raw, lines })
  const { max, min, mean, rms } = extremes(cycle)
  const values: FmFigures = {
    deviationPositiveHz: max - mean + meanHz - referenceHz, deviationNegativeHz: referenceHz - (min - mean + meanHz), deviationFundamentalHz: lineAmplitude(lines[1]!), deviationRmsHz: rms,
    carsonHz: 2 * ((max - min) / 2 + toneHz), carrierLineDbc, residualHz: Math.sqrt(Math.max(0, powerIn(residual, series.rateHz, ...RESIDUAL_HZ) - harmonicsIn(lines, toneHz))),
    audioHz: toneHz, thd: distortionOf(lines), sinadDb: sinadOf(hz, series.rateHz, toneHz, RESIDUAL_HZ[0], FM_AUDIO_HZ),
  }
  const noiseHz = Math.sqrt(powerIn(residual, series.rateHz, RESIDUAL_HZ[0], FM_AUDIO_HZ) * Math.min(1, raw.noiseGain * series.rateHz / 2 / FM_AUDIO_HZ))
  return { values, uncertainty: uncertaintyOf(values, noiseHz, hz.length / series.rateHz), notes: [reference], cycle: cycle.map(y => y - mean + meanHz) }
}

/** Noise of a frequency series by its spectrum, the quieter of the neighbours of each place: lines stand on it. */
function noisePerHz(residual: Float64Array, rateHz: number): (hz: number) => number {
  const size = Math.min(powerOfTwoTo(residual.length), 4096)
  const averager = new SpectrumAverager(size, size / 2)
  averager.add(residual, [])
  const { power, fromHz, binHz } = averager.result(rateHz)
  return (hz) => {
    const k = Math.round((hz - fromHz) / binHz)
    return Math.min(power[Math.max(0, k - 8)]!, power[Math.min(power.length - 1, k + 8)]!) / binHz
  }
}

/** A difference over one sample reads a tone low by sin(x)/x: put right per harmonic. */
function flattened({ re, im }: Line, cyclesPerSample: number): Line {
  const x = Math.PI * cyclesPerSample
  const gain = x === 0 ? 1 : x / Math.sin(x)
  return { re: re * gain, im: im * gain }
}

function harmonicsIn(lines: readonly Line[], toneHz: number): number {
  return lines.reduce((sum, l, k) => k >= 2 && k * toneHz >= RESIDUAL_HZ[0] && k * toneHz <= RESIDUAL_HZ[1] ? sum + lineAmplitude(l) ** 2 / 2 : sum, 0)
}

function voiceFigures(input: FmInput, carrierLineDbc: number | null, notes: Measured<FmFigures>['notes']): FmResult {
  const { hz, series, meanHz, referenceHz } = input
  const residualHz = Math.sqrt(powerIn(hz.map(f => f - meanHz), series.rateHz, ...RESIDUAL_HZ))
  const sorted = Float64Array.from(smooth(hz, series.rateHz)).sort()
  const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!
  const [low, high] = [at(VOICE_QUANTILE), at(1 - VOICE_QUANTILE)]
  const values: FmFigures = { deviationPositiveHz: high - referenceHz, deviationNegativeHz: referenceHz - low, deviationFundamentalHz: null, deviationRmsHz: residualHz, carsonHz: null, carrierLineDbc, residualHz, audioHz: null, thd: null, sinadDb: null }
  return { values, uncertainty: { deviationPositiveHz: residualHz / 10 + 1, deviationNegativeHz: residualHz / 10 + 1 }, notes: [...notes, note('no-tone', 'No steady tone was found: peaks are the extremes of the deviation up to 5 kHz of audio, and contain noise.'), note('peak-includes-noise', 'A peak held on noise reads high.')], cycle: null }
}

/** Running mean over a fifth of a millisecond: audio stays, the noise above it goes. */
function smooth(x: Float64Array, rateHz: number): Float64Array {
  const width = Math.max(1, Math.round(rateHz / FM_AUDIO_HZ / 2))
  const out = new Float64Array(Math.max(1, x.length - width + 1))
  let sum = 0
  for (let n = 0; n < x.length; n++) {
    sum += x[n]!
    if (n >= width) sum -= x[n - width]!
    if (n >= width - 1) out[n - width + 1] = sum / width
  }
  return out
}

/** The line at the mean frequency against the whole power, window by window, so that a drift does not spread it. */
function carrierLine({ series, meanHz, noisePower }: FmInput): number | null {
  const length = Math.min(series.re.length, Math.floor(LINE_WINDOW_S * series.rateHz))
  if (length < 64) return null
  const window = hann(length)
  let [lines, count] = [0, 0]
  for (let from = 0; from + length <= series.re.length && count < 200; from += length) {
    lines += lineAmplitude(lineAt(series.re.subarray(from, from + length), series.im.subarray(from, from + length), window.values, window.sum, meanHz / series.rateHz)) ** 2
    count++
  }
  const power = Math.max(meanPower(series) - noisePower, 1e-30)
  return ratioToDb(Math.max(lines / count - noisePower * window.enbwBins / length, 1e-9 * power) / power)
}

function uncertaintyOf(v: FmFigures, noiseHz: number, seconds: number): Measured<FmFigures>['uncertainty'] {
  const u = Math.hypot(noiseHz, FLOOR * (v.deviationFundamentalHz ?? 0), 0.05)
  return {
    deviationPositiveHz: u, deviationNegativeHz: u, deviationFundamentalHz: u, deviationRmsHz: u, carsonHz: 2 * u, carrierLineDbc: 0.1, residualHz: Math.max(0.05 * (v.residualHz ?? 0), 0.05),
    audioHz: Math.max(1e-6, noiseHz / Math.max(v.deviationFundamentalHz ?? 1, 1) / seconds), thd: u / Math.max(v.deviationFundamentalHz ?? 1, 1), sinadDb: 0.2,
  }
}
