import { transformOf, powerOfTwoTo } from '../spectrum/fft'
import { hann } from '../spectrum/window'

/** A line of a signal: complex amplitude at the middle of the window, as its peak value. */
export interface Line { readonly re: number, readonly im: number }

export const lineAmplitude = ({ re, im }: Line) => Math.hypot(re, im)

/**
 * The line of a windowed signal at a frequency: its discrete Fourier sum there, by a rotating pointer.
 * @param im null = real signal: its line is half its peak, put right here
 */
export function lineAt(re: ArrayLike<number>, im: ArrayLike<number> | null, window: ArrayLike<number>, windowSum: number, cyclesPerSample: number): Line {
  const n = re.length
  const middle = (n - 1) / 2
  const [stepC, stepS] = [Math.cos(2 * Math.PI * cyclesPerSample), -Math.sin(2 * Math.PI * cyclesPerSample)]
  let [c, s] = [Math.cos(2 * Math.PI * cyclesPerSample * middle), Math.sin(2 * Math.PI * cyclesPerSample * middle)]
  let [sumRe, sumIm] = [0, 0]
  for (let k = 0; k < n; k++) {
    const x = re[k]! * window[k]!
    const y = im ? im[k]! * window[k]! : 0
    sumRe += x * c - y * s
    sumIm += x * s + y * c
    const next = c * stepC - s * stepS
    s = c * stepS + s * stepC
    c = next
  }
  const scale = (im || cyclesPerSample === 0 ? 1 : 2) / windowSum
  return { re: sumRe * scale, im: sumIm * scale }
}

/** Steps from one bin to the next in which a peak is first closed in upon [bins of the window]. */
const FIRST_STEP_BINS = 1
const ROUNDS = 7

/**
 * The frequency at which a windowed line is largest, closed in upon by parabolas of shrinking width. The lobe of the
 * window is symmetrical, so nothing but noise and other lines moves the peak.
 * @param startHz within a bin or so of it
 */
export function peakFrequency(re: ArrayLike<number>, im: ArrayLike<number> | null, rateHz: number, startHz: number): number {
  const window = hann(re.length)
  const level = (hz: number) => Math.log(Math.max(1e-300, lineAmplitude(lineAt(re, im, window.values, window.sum, hz / rateHz))))
  let hz = startHz
  let step = FIRST_STEP_BINS * rateHz / re.length
  for (let round = 0; round < ROUNDS; round++, step /= 2.5) {
    const [a, b, c] = [level(hz - step), level(hz), level(hz + step)]
    const bend = a - 2 * b + c
    if (!(bend < -1e-12)) {
      if (Math.abs(bend) <= 1e-12) return hz
      hz += a > c ? -step : step
      continue
    }
    hz += Math.max(-1, Math.min(1, 0.5 * (a - c) / bend)) * step
  }
  return hz
}

/** A part of a series, without copying where that can be. */
function windowOf(x: ArrayLike<number>, from: number, to: number): ArrayLike<number> {
  return x instanceof Float64Array || x instanceof Float32Array ? x.subarray(from, to) : Array.from(x).slice(from, to)
}

const MOST_SAMPLES = 2 ** 17

/** The strongest line of a real series between two frequencies, from one transform of it. @returns null when the series is too short */
export function strongestTone(x: ArrayLike<number>, rateHz: number, lowHz: number, highHz: number): { hz: number, powerRatio: number } | null {
  const size = Math.min(powerOfTwoTo(x.length), MOST_SAMPLES)
  if (size < 64) return null
  const { input, output, run } = transformOf(size)
  const window = hann(size)
  const from = Math.floor((x.length - size) / 2)
  let mean = 0
  for (let n = 0; n < size; n++) mean += x[from + n]! / size
  let power = 0
  for (let n = 0; n < size; n++) {
    const v = x[from + n]! - mean
    power += v * v / size
    input[2 * n] = v * window.values[n]!
    input[2 * n + 1] = 0
  }
  run()
  const [first, last] = [Math.max(3, Math.ceil(lowHz / rateHz * size)), Math.min(size / 2 - 1, Math.floor(highHz / rateHz * size))]
  let best = -1
  let most = 0
  for (let k = first; k <= last; k++) {
    const p = output[2 * k]! ** 2 + output[2 * k + 1]! ** 2
    if (p > most) [best, most] = [k, p]
  }
  if (best < 0) return null
  // The transform takes a power of two; all of the series tells the frequency better.
  const rough = peakFrequency(windowOf(x, from, from + size), null, rateHz, best * rateHz / size)
  const all = Math.min(x.length, MOST_SAMPLES)
  const start = Math.floor((x.length - all) / 2)
  const hz = all > size ? peakFrequency(windowOf(x, start, start + all), null, rateHz, rough) : rough
  return { hz, powerRatio: power > 0 ? 2 * most / window.sum ** 2 / power : 0 }
}
