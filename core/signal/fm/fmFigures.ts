import { message } from '../../message'
import { meanPower, type Series } from '../series'
import {
  distortionOf,
  drawReal,
  extremes,
  realCycle,
  withoutNoiseLines,
  MIN_CYCLES,
  type Cycle,
} from '../tone/cycle'
import { largestPart } from '../limits'
import { lineAmplitude, lineAt, type Line } from '../tone/lines'
import { note, ratioToDb, type FmFigures, type Measured } from '../result'
import { withoutLines } from '../tone/withoutLines'
import { EDGE_SHARE, FM_AUDIO_HZ, RESIDUAL_HZ, type FmInput, type FmResult } from './fmInput'
import { fmWaveform } from './fmWaveform'
import { frequencyDeviation, lineDeviation, noisePerHz } from '../tone/noisePerHz'
import { hann } from '../spectrum/window'
import { middleOf, sinadOf, powerIn, withoutTone } from '../audio/sinad'

/** Hum smaller than this against the deviation does not move a peak that is worth a word. */
const HUM_SEEN = 0.003
/** Ripple and rounding [ratio of the deviation]. */
const FLOOR = 5e-5
const FLOOR_HZ = 0.005
/**
 * A crest is uncertain by this much more than its lines: which of them are kept is uncertain as well (by
 * simulation).
 */
const CREST_MORE = 1.15
const LINE_WINDOW_S = 0.05

/**
 * Frequency of every sample against the middle of the channel [Hz], by the turn from one sample to the next.
 */
export function instantaneousHz({ re, im, rateHz }: Series): Float64Array {
  const out = new Float64Array(Math.max(0, re.length - 1))
  const scale = rateHz / (2 * Math.PI)
  for (let n = 0; n < out.length; n++)
    out[n] =
      Math.atan2(im[n + 1]! * re[n]! - re[n + 1]! * im[n]!, re[n + 1]! * re[n]! + im[n + 1]! * im[n]!) * scale
  return out
}

/**
 * Mean frequency, weighted so that modulation falls out; the weights are those that phase noise asks for (Kay
 * 1989, from memory).
 */
export function meanFrequency(hz: Float64Array): number {
  let [sum, weights] = [0, 0]
  for (let n = 0; n < hz.length; n++) {
    const w = 0.5 - 0.5 * Math.cos((2 * Math.PI * (n + 0.5)) / hz.length)
    sum += w * hz[n]!
    weights += w
  }
  return weights > 0 ? sum / weights : 0
}

/**
 * Everything about frequency modulation (C12 to C14), from the cycle of its tone; anything else, and a tone
 * with hum, by its waveform.
 * @param input channel about the carrier, its noise, and the tone as far as it is known
 * @returns deviations in hertz from the mean frequency; null where noise leaves none to tell
 * Limits: audio up to FM_AUDIO_HZ counts.
 */
export function fmFigures(input: FmInput): FmResult {
  const { series, hz, toneHz, isNominal, hum } = input
  const steady = toneHz !== null && (toneHz * hz.length) / series.rateHz >= MIN_CYCLES
  const reference = note(
    'deviation-reference',
    isNominal ? message('note.deviationFromNominal') : message('note.deviationFromMean'),
  )
  const carrierLineDbc = carrierLine(input)
  if (!steady) return fmWaveform({ ...input, toneHz: null }, carrierLineDbc, [reference])
  const cycle = withTone(input, toneHz, carrierLineDbc, [reference])
  if (hum < HUM_SEEN * (cycle.values.deviationFundamentalHz ?? 0)) return cycle
  const wave = fmWaveform(input, carrierLineDbc, [reference])
  const { deviationPositiveHz, deviationNegativeHz, peaks } = wave.values
  const u = wave.uncertainty
  return {
    ...cycle,
    limitedBy: wave.limitedBy ?? {},
    values: { ...cycle.values, deviationPositiveHz, deviationNegativeHz, peaks },
    notes: wave.notes,
    uncertainty: {
      ...cycle.uncertainty,
      deviationPositiveHz: u.deviationPositiveHz ?? null,
      deviationNegativeHz: u.deviationNegativeHz ?? null,
      peaks: u.peaks ?? null,
    },
  }
}

function withTone(
  { series, hz, meanHz, referenceHz, edgeRatio }: FmInput,
  toneHz: number,
  carrierLineDbc: number | null,
  notes: Measured<FmFigures>['notes'],
): FmResult {
  const apart = withoutTone(middleOf(hz), series.rateHz, toneHz)
  const { residual } = apart
  const harmonics = Array.from(
    { length: Math.max(0, Math.floor(FM_AUDIO_HZ / toneHz) - 1) },
    (_, k) => (k + 2) * toneHz,
  )
  const bare = withoutLines(residual, series.rateHz, harmonics).left
  const whole = realCycle(hz, series.rateHz, toneHz, FM_AUDIO_HZ * 1.5)
  const perHz = noisePerHz(residual, null, series.rateHz)
  const raw = withoutNoiseLines(whole, false, k =>
    Math.sqrt((2 * perHz(k * toneHz) * 1.5 * series.rateHz) / whole.samples),
  )
  const lines = raw.lines.map((l, k) => flattened(l, (k * toneHz) / series.rateHz))
  const cycle = drawReal({ ...raw, lines })
  const { max, min, mean, rms } = extremes(cycle)
  const values: FmFigures = {
    deviationPositiveHz: max - mean + meanHz - referenceHz,
    deviationNegativeHz: referenceHz - (min - mean + meanHz),
    deviationFundamentalHz: lineAmplitude(lines[1]!),
    deviationRmsHz: rms,
    peaks: null,
    tonesHz: [toneHz],
    carsonHz: 2 * ((max - min) / 2 + toneHz),
    carrierLineDbc,
    residualHz: Math.sqrt(powerIn(bare, series.rateHz, ...RESIDUAL_HZ)),
    audioHz: toneHz,
    thd: distortionOf(lines),
    sinadDb: sinadOf(apart, RESIDUAL_HZ[0], FM_AUDIO_HZ),
  }
  const noise = cycleNoise(raw, perHz, series.rateHz, edgeRatio)
  const limit = limitOf(values, noise)
  return {
    values,
    uncertainty: uncertaintyOf(values, noise),
    limitedBy: { deviationPositiveHz: limit, deviationNegativeHz: limit },
    notes,
    cycle: cycle.map(y => y - mean + meanHz),
  }
}

/** Noise beside each harmonic that is kept. */
function cycleNoise(
  { lines, samples, toneHz }: Cycle,
  perHz: (hz: number) => number,
  rateHz: number,
  edgeRatio: number,
): CycleNoise {
  const seconds = samples / rateHz
  const line = (k: number) => lineDeviation(perHz(k * toneHz), seconds)
  const kept = lines.map((_, k) => k).filter(k => k > 0 && lineAmplitude(lines[k]!) > 0)
  return {
    tone: line(1),
    crest: CREST_MORE * Math.hypot(...kept.map(line)),
    others: edgeRatio * EDGE_SHARE * FM_AUDIO_HZ,
    seconds,
  }
}

const limitOf = ({ deviationFundamentalHz }: FmFigures, { crest, others }: CycleNoise) =>
  largestPart({
    noise: crest,
    neighbour: others,
    recorder: Math.hypot(FLOOR * (deviationFundamentalHz ?? 0), FLOOR_HZ),
  })

/** A difference over one sample reads a tone low by sin(x)/x: put right per harmonic. */
function flattened({ re, im }: Line, cyclesPerSample: number): Line {
  const x = Math.PI * cyclesPerSample
  const gain = x === 0 ? 1 : x / Math.sin(x)
  return { re: re * gain, im: im * gain }
}

/**
 * The line at the mean frequency against the whole power, window by window, so that a drift does not spread
 * it.
 */
function carrierLine({ series, meanHz, noisePower }: FmInput): number | null {
  const length = Math.min(series.re.length, Math.floor(LINE_WINDOW_S * series.rateHz))
  if (length < 64) return null
  const window = hann(length)
  let [lines, count] = [0, 0]
  for (let from = 0; from + length <= series.re.length && count < 200; from += length) {
    lines +=
      lineAmplitude(
        lineAt(
          series.re.subarray(from, from + length),
          series.im.subarray(from, from + length),
          window.values,
          window.sum,
          meanHz / series.rateHz,
        ),
      ) ** 2
    count++
  }
  const power = Math.max(meanPower(series) - noisePower, 1e-30)
  return ratioToDb(Math.max(lines / count - (noisePower * window.enbwBins) / length, 1e-9 * power) / power)
}

interface CycleNoise {
  readonly tone: number
  readonly crest: number
  /** what a narrowed channel leaves open [Hz] */
  readonly others: number
  readonly seconds: number
}

function uncertaintyOf(
  v: FmFigures,
  { tone, crest, others, seconds }: CycleNoise,
): Measured<FmFigures>['uncertainty'] {
  const deviation = v.deviationFundamentalHz ?? 0
  const of = (own: number) => Math.hypot(own, others, FLOOR * deviation, FLOOR_HZ)
  const audioHz = frequencyDeviation(tone / Math.max(deviation, 1), seconds)
  return {
    deviationPositiveHz: of(crest),
    deviationNegativeHz: of(crest),
    deviationFundamentalHz: of(tone),
    deviationRmsHz: of(tone) / Math.SQRT2,
    carsonHz: 2 * of(crest),
    carrierLineDbc: 0.1,
    residualHz: Math.max(0.05 * (v.residualHz ?? 0), 0.05),
    audioHz,
    tonesHz: [audioHz],
    thd: of(crest) / Math.max(deviation, 1),
    sinadDb: 0.2,
  }
}
