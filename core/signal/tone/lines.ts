import { powerOfTwoTo } from '../spectrum/fft'
import { fastTransformOf, type Samples } from '../spectrum/fastFft'
import { hann } from '../spectrum/window'
import { PIECE, turning, type Turning } from './turning'

/** A line of a signal: complex amplitude at the middle of the window, as its peak value. */
export interface Line {
  readonly re: number
  readonly im: number
}

export const lineAmplitude = ({ re, im }: Line) => Math.hypot(re, im)

/**
 * The line of a windowed signal at a frequency: its discrete Fourier sum there, by a turning pointer.
 * @param im null = real signal: its line is half its peak, put right here
 */
export function lineAt(
  re: Samples,
  im: Samples | null,
  window: Samples,
  windowSum: number,
  cyclesPerSample: number,
): Line {
  if (im) return linesAt(re, im, window, windowSum, cyclesPerSample).above
  const { cos, sin } = realSums(re, window, turning(2 * Math.PI * cyclesPerSample))
  const scale = (cyclesPerSample === 0 ? 1 : 2) / windowSum
  return { re: cos * scale, im: -sin * scale }
}

/** The lines of a complex signal at a frequency and at its negative: both come from the same four sums. */
export function linesAt(
  re: Samples,
  im: Samples,
  window: Samples,
  windowSum: number,
  cyclesPerSample: number,
): { above: Line; below: Line } {
  const { xCos, xSin, yCos, ySin } = pairSums(re, im, window, turning(2 * Math.PI * cyclesPerSample))
  return {
    above: { re: (xCos + ySin) / windowSum, im: (yCos - xSin) / windowSum },
    below: { re: (xCos - ySin) / windowSum, im: (yCos + xSin) / windowSum },
  }
}

/** Sums of a windowed series times cosine and sine, their angle zero in the middle of the series. */
function realSums(
  x: Samples,
  window: Samples,
  { radPerSample, cos, sin, pieceCos, pieceSin }: Turning,
): { cos: number; sin: number } {
  const n = x.length
  let c = Math.cos((-radPerSample * (n - 1)) / 2)
  let s = Math.sin((-radPerSample * (n - 1)) / 2)
  const sums = { cos: 0, sin: 0 }
  for (let from = 0; from < n; from += PIECE) {
    const count = Math.min(PIECE, n - from)
    let a = 0
    let b = 0
    for (let k = 0; k < count; k++) {
      const v = x[from + k]! * window[from + k]!
      a += v * cos[k]!
      b += v * sin[k]!
    }
    sums.cos += a * c - b * s
    sums.sin += a * s + b * c
    const next = c * pieceCos - s * pieceSin
    s = c * pieceSin + s * pieceCos
    c = next
  }
  return sums
}

interface PairSums {
  xCos: number
  xSin: number
  yCos: number
  ySin: number
}

/** The same of two series at once. */
function pairSums(
  x: Samples,
  y: Samples,
  window: Samples,
  { radPerSample, cos, sin, pieceCos, pieceSin }: Turning,
): PairSums {
  const n = x.length
  let c = Math.cos((-radPerSample * (n - 1)) / 2)
  let s = Math.sin((-radPerSample * (n - 1)) / 2)
  const sums: PairSums = { xCos: 0, xSin: 0, yCos: 0, ySin: 0 }
  for (let from = 0; from < n; from += PIECE) {
    const count = Math.min(PIECE, n - from)
    let ac = 0
    let as = 0
    let bc = 0
    let bs = 0
    for (let k = 0; k < count; k++) {
      const w = window[from + k]!
      const a = x[from + k]! * w
      const b = y[from + k]! * w
      ac += a * cos[k]!
      as += a * sin[k]!
      bc += b * cos[k]!
      bs += b * sin[k]!
    }
    sums.xCos += ac * c - as * s
    sums.xSin += ac * s + as * c
    sums.yCos += bc * c - bs * s
    sums.ySin += bc * s + bs * c
    const next = c * pieceCos - s * pieceSin
    s = c * pieceSin + s * pieceCos
    c = next
  }
  return sums
}

/** Steps from one bin to the next in which a peak is first closed in upon [bins of the window]. */
const FIRST_STEP_BINS = 1
const ROUNDS = 7
/** The first rounds look at sums of pieces: what these take for the peak is within a hundredth of a bin. */
const ROUGH_ROUNDS = 5
const PIECES = 1024
const NO_WINDOW = new Float64Array(PIECES).fill(1)

/**
 * The frequency at which a windowed line is largest, closed in upon by parabolas of shrinking width. The lobe
 * of the window is symmetrical, so nothing but noise and other lines moves the peak.
 * @param startHz within a bin or so of it
 */
export function peakFrequency(re: Samples, im: Samples | null, rateHz: number, startHz: number): number {
  const window = hann(re.length)
  const binHz = rateHz / re.length
  const level = (hz: number) => lineAmplitude(lineAt(re, im, window.values, window.sum, hz / rateHz))
  const size = Math.floor(re.length / PIECES)
  if (size < PIECE) return closeIn(level, startHz, binHz, 0, ROUNDS)
  const pieces = piecesOf(re, im, window.values, startHz / rateHz, size)
  const roughLevel = (hz: number) =>
    lineAmplitude(lineAt(pieces.re, pieces.im, NO_WINDOW, PIECES, ((hz - startHz) / rateHz) * size))
  return closeIn(level, closeIn(roughLevel, startHz, binHz, 0, ROUGH_ROUNDS), binHz, ROUGH_ROUNDS, ROUNDS)
}

/** Parabolas through three levels, each round with smaller steps. */
function closeIn(
  level: (hz: number) => number,
  startHz: number,
  binHz: number,
  from: number,
  to: number,
): number {
  const log = (hz: number) => Math.log(Math.max(1e-300, level(hz)))
  let hz = startHz
  for (let round = from; round < to; round++) {
    const step = (FIRST_STEP_BINS * binHz) / 2.5 ** round
    const [a, b, c] = [log(hz - step), log(hz), log(hz + step)]
    const bend = a - 2 * b + c
    if (Math.abs(bend) <= 1e-12) return hz
    if (bend > 0) hz += a > c ? -step : step
    else hz += Math.max(-1, Math.min(1, (0.5 * (a - c)) / bend)) * step
  }
  return hz
}

/**
 * Sums of so many pieces of a windowed signal, seen from a frequency: what is near it is in them, at a far
 * lower rate.
 */
function piecesOf(
  re: Samples,
  im: Samples | null,
  window: Samples,
  cyclesPerSample: number,
  size: number,
): { re: Float64Array; im: Float64Array } {
  const out = { re: new Float64Array(PIECES), im: new Float64Array(PIECES) }
  const turns = turning(2 * Math.PI * cyclesPerSample)
  for (let p = 0; p < PIECES; p++) {
    const from = p * size
    const [x, w] = [re.subarray(from, from + size), window.subarray(from, from + size)]
    const { xCos, xSin, yCos, ySin } = im
      ? pairSums(x, im.subarray(from, from + size), w, turns)
      : pairOfReal(realSums(x, w, turns))
    const [a, b] = [xCos + ySin, yCos - xSin]
    const angle = -turns.radPerSample * (from + (size - 1) / 2)
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    out.re[p] = a * c - b * s
    out.im[p] = a * s + b * c
  }
  return out
}

const pairOfReal = ({ cos, sin }: { cos: number; sin: number }): PairSums => ({
  xCos: cos,
  xSin: sin,
  yCos: 0,
  ySin: 0,
})

/** The frequency of a tone is told by the middle of so many samples. */
export const TONE_SAMPLES = 2 ** 17

/**
 * The strongest line of a real series between two frequencies, from one transform of it.
 * @returns null when the series is too short
 */
export function strongestTone(
  x: Samples,
  rateHz: number,
  lowHz: number,
  highHz: number,
): { hz: number; powerRatio: number } | null {
  const size = Math.min(powerOfTwoTo(x.length), TONE_SAMPLES)
  if (size < 64) return null
  const transform = fastTransformOf(size)
  const input = transform.input()
  const window = hann(size)
  const from = Math.floor((x.length - size) / 2)
  let mean = 0
  for (let n = 0; n < size; n++) mean += x[from + n]! / size
  let power = 0
  for (let n = 0; n < size; n++) {
    const v = x[from + n]! - mean
    power += (v * v) / size
    input[2 * n] = v * window.values[n]!
    input[2 * n + 1] = 0
  }
  transform.forward()
  const output = transform.output()
  const [first, last] = [
    Math.max(3, Math.ceil((lowHz / rateHz) * size)),
    Math.min(size / 2 - 1, Math.floor((highHz / rateHz) * size)),
  ]
  let best = -1
  let most = 0
  for (let k = first; k <= last; k++) {
    const p = output[2 * k]! ** 2 + output[2 * k + 1]! ** 2
    if (p > most) [best, most] = [k, p]
  }
  if (best < 0) return null
  // The transform takes a power of two; all of the series tells the frequency better.
  const rough = peakFrequency(x.subarray(from, from + size), null, rateHz, (best * rateHz) / size)
  const all = Math.min(x.length, TONE_SAMPLES)
  const start = Math.floor((x.length - all) / 2)
  const hz = all > size ? peakFrequency(x.subarray(start, start + all), null, rateHz, rough) : rough
  return { hz, powerRatio: power > 0 ? (2 * most) / window.sum ** 2 / power : 0 }
}
