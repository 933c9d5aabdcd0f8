import { powerOfTwoTo } from '../spectrum/fft'
import { spectrumOfSamples } from '../spectrum/powerSpectrum'
import { strongestTone } from './lines'
import { lineDeviation, noisePerHz } from './noisePerHz'
import { withoutLines } from './withoutLines'
import { MIN_CYCLES } from './cycle'

/** What makes up a demodulated waveform. */
export interface Explained {
  /**
   * the tone that, with its harmonics and hum, explains the modulation; null = voice, noise, several tones,
   * or nothing
   */
  readonly toneHz: number | null
  /** a second tone beside it explains the modulation; ascending, empty unless there are two */
  readonly tonesHz: readonly number[]
  /** amplitude of the hum beside the tone, in the unit of the waveform */
  readonly hum: number
}

const NOTHING: Explained = { toneHz: null, tonesHz: [], hum: 0 }
const LOWEST_TONE_HZ = 40
/** The middle of a waveform that is looked at: more of it would tell nothing new. */
export const EXPLAINED_SAMPLES = 131_072
/**
 * What a tone leaves unexplained, against its amplitude: more than this moves the peaks by more than a point.
 */
const UNEXPLAINED = 0.01
/**
 * Amplitude of a tone against that of an average line of what is left: the largest of many lines of noise
 * reaches five.
 */
const STANDS_OUT = 8
/** Two tones leave their products as well: they are named while this share of the power is theirs. */
const HELD_BY_TWO = 0.9
/** Mains and what a rectifier makes of them [Hz] (common practice). */
const MAINS_HZ = [50, 60] as const
const MAX_MAINS_ORDER = 6
/**
 * Amplitude of hum over the standard deviation of a line of noise at its place: of twelve lines of noise one
 * in ten thousand reaches it.
 */
const HUM_STANDS_OUT = 5
/** A harmonic at the very end of the audio is one. */
const EDGE_HZ = 50
/** A tone this near to a multiple of the mains is the tone, not hum [Hz]. */
const APART_HZ = 4

/**
 * Looks whether one tone, or two, make up a waveform. A strong line is not enough: a voice has one in every
 * vowel. Only where next to nothing but noise is left once the line, its harmonics and hum are taken out is
 * it a tone.
 * @param x demodulated waveform in any unit
 * @param saidHz the tone that was fed in, as far as known
 * @param highestHz end of the audio
 * @param noiseAtMost variance that the noise of the receiver can have in it: noise that was sent is
 * modulation
 */
export function explainAudio(
  x: Float64Array,
  rateHz: number,
  saidHz: number | null,
  highestHz: number,
  noiseAtMost: number,
): Explained {
  const from = Math.max(0, Math.floor((x.length - EXPLAINED_SAMPLES) / 2))
  // The carrier is no part of the modulation; through a short window it would fill its lowest part.
  const audio = withoutLines(x.subarray(from, from + Math.min(x.length, EXPLAINED_SAMPLES)), rateHz, [0]).left
  const first = tonePlace(audio, rateHz, saidHz, highestHz)
  if (first === null || (first * audio.length) / rateHz < MIN_CYCLES) return NOTHING
  const whole = rest(audio, rateHz, highestHz, noiseAtMost)
  const alone = withoutLines(audio, rateHz, harmonicsOf(first, highestHz))
  const size = alone.amplitudes[0]!
  const humHz = MAINS_HZ.flatMap(m => Array.from({ length: MAX_MAINS_ORDER }, (_, k) => (k + 1) * m)).filter(
    hz => Math.abs(hz - first * Math.max(1, Math.round(hz / first))) > APART_HZ,
  )
  const hums = humHz.filter(hz => (hz * audio.length) / rateHz > MIN_CYCLES)
  const quiet = withoutLines(alone.left, rateHz, hums)
  const left = rest(quiet.left, rateHz, highestHz, noiseAtMost)
  if (size < STANDS_OUT * left.line) return NOTHING
  if (left.power - left.noise < (UNEXPLAINED * size) ** 2 / 2 + left.doubt) {
    return { toneHz: first, tonesHz: [first], hum: humOf(hums, quiet.amplitudes, alone.left, rateHz) }
  }
  const second = strongestTone(quiet.left, rateHz, LOWEST_TONE_HZ, highestHz)
  if (!second || isMultiple(second.hz, first) || isMultiple(first, second.hz)) return NOTHING
  const both = rest(
    withoutLines(
      withoutLines(quiet.left, rateHz, [second.hz]).left,
      rateHz,
      harmonicsOf(second.hz, highestHz).slice(1),
    ).left,
    rateHz,
    highestHz,
    noiseAtMost,
  )
  const holds = whole.power - both.power > HELD_BY_TWO * (whole.power - whole.noise)
  return holds ? { toneHz: null, tonesHz: [first, second.hz].sort((a, b) => a - b), hum: 0 } : NOTHING
}

/** Hum that stands out of the noise at its place: that of an oscillator is strongest where hum lies. */
function humOf(
  frequenciesHz: readonly number[],
  amplitudes: readonly number[],
  x: Float64Array,
  rateHz: number,
): number {
  const perHz = noisePerHz(x, null, rateHz)
  const seconds = x.length / rateHz
  return amplitudes.reduce(
    (sum, a, k) => sum + Math.max(0, a - HUM_STANDS_OUT * lineDeviation(perHz(frequenciesHz[k]!), seconds)),
    0,
  )
}

const harmonicsOf = (hz: number, highestHz: number) =>
  Array.from({ length: Math.max(1, Math.floor((highestHz + EDGE_HZ) / hz)) }, (_, k) => (k + 1) * hz)

const isMultiple = (hz: number, of: number) => hz > 1.5 * of && Math.abs(hz / of - Math.round(hz / of)) < 1e-3

/** The line that was said if it is there, else the strongest one. */
function tonePlace(x: Float64Array, rateHz: number, saidHz: number | null, highestHz: number): number | null {
  const said = saidHz === null ? null : strongestTone(x, rateHz, saidHz * 0.95, saidHz * 1.05)
  const strongest = strongestTone(x, rateHz, LOWEST_TONE_HZ, highestHz)
  if (said && strongest && said.powerRatio > 0.05 * strongest.powerRatio) return said.hz
  return strongest?.hz ?? null
}

/**
 * Bands in which the noise of a waveform is taken as even [Hz]: that of a discriminator grows with frequency.
 */
const BAND_HZ = 400
const LOWEST_HZ = 20

/**
 * Power of what is left in the audio, and the part of it that is noise: in every band what most of its bins
 * hold.
 */
function rest(
  x: Float64Array,
  rateHz: number,
  highestHz: number,
  noiseAtMost: number,
): { power: number; noise: number; doubt: number; line: number } {
  const size = Math.min(powerOfTwoTo(x.length / 2), 16_384)
  const s = spectrumOfSamples(x, null, rateHz, size)
  const perBand = Math.max(8, Math.round(BAND_HZ / s.binHz))
  let [power, noise, variance] = [0, 0, 0]
  for (
    let k = Math.ceil((LOWEST_HZ - s.fromHz) / s.binHz);
    s.fromHz + k * s.binHz < Math.min(highestHz, rateHz / 2);
    k += perBand
  ) {
    const bins = Float64Array.from(s.power.subarray(k, Math.min(s.power.length, k + perBand))).sort()
    const total = 2 * bins.reduce((a, b) => a + b, 0)
    const even = (2 * bins.length * bins[Math.floor(bins.length * 0.4)]!) / medianLike(s.segments)
    power += total
    noise += Math.min(even, total)
    variance += even ** 2 / bins.length / s.segments
  }
  // With few segments the even part of a band is not well known; the receiver's own noise is a bound on it in
  // any case.
  const atMost = Math.min(noise + 4 * Math.sqrt(variance) + 0.3 * noise, noiseAtMost)
  noise = Math.min(noise, noiseAtMost)
  return {
    power,
    noise,
    doubt: Math.max(0, atMost - noise),
    line: Math.sqrt((((2 * power) / highestHz) * rateHz) / x.length),
  }
}

/**
 * The 40 % quantile of averaged noise over its mean (chi-square with two degrees of freedom a segment; Wilson
 * and Hilferty 1931, from memory).
 */
function medianLike(segments: number): number {
  const v = 1 / (9 * segments)
  return (1 - v - 0.2533 * Math.sqrt(v)) ** 3
}
