import type { Series } from '../series'
import { meanPower } from '../series'
import { hann } from '../spectrum/window'
import type { PhaseTrack } from './phaseTrack'

/**
 * Short enough to follow what mains and rectifier do to a frequency, long enough that a tone of 500 Hz is
 * outside [s].
 */
const WINDOW_S = 0.004
const HOPS = 4
/** A phase that moves less than this does not change the size of an average by a thousandth [rad]. */
const MOVES = 0.03
const ABOVE_NOISE = 4
/**
 * The window is looked at in so many points at least: sums of samples stand for them where there are more.
 */
const WINDOW_POINTS = 64
/** Where the carrier is nearly gone its phase says nothing [share of the mean]. */
const TOO_SMALL = 0.3

/**
 * How hum moves the phase of a carrier that stands still on average. An average of the turning pointer would
 * come out short by it: with 50 Hz of deviation at 50 Hz by a quarter.
 * @returns null when nothing moves beyond the noise, or no carrier is there to follow
 */
export function humTrack(series: Series, noisePower: number): PhaseTrack | null {
  const { re, im, rateHz } = summed(series, Math.floor((WINDOW_S * series.rateHz) / WINDOW_POINTS))
  const length = Math.max(16, Math.floor(WINDOW_S * rateHz))
  const hop = Math.max(1, Math.floor(length / HOPS))
  const window = hann(length)
  const count = Math.max(0, Math.floor((re.length - length) / hop) + 1)
  if (count < 8 * HOPS) return null
  const track = {
    timeS: new Float64Array(count),
    phaseRad: new Float64Array(count),
    amplitude: new Float64Array(count),
    hopS: hop / rateHz,
  }
  let [sum, squares] = [0, 0]
  for (let b = 0; b < count; b++) {
    let [x, y] = [0, 0]
    for (let n = 0, at = b * hop; n < length; n++, at++) {
      x += re[at]! * window.values[n]!
      y += im[at]! * window.values[n]!
    }
    track.timeS[b] = (b * hop + (length - 1) / 2) / rateHz + (1 / rateHz - 1 / series.rateHz) / 2
    track.amplitude[b] = Math.hypot(x, y) / window.sum
    const before = b === 0 ? 0 : track.phaseRad[b - 1]!
    const phase = Math.atan2(y, x)
    track.phaseRad[b] = before + phase - before - 2 * Math.PI * Math.round((phase - before) / (2 * Math.PI))
    sum += track.phaseRad[b]!
    squares += track.phaseRad[b]! ** 2
  }
  const mean = track.amplitude.reduce((a, b) => a + b, 0) / count
  if (track.amplitude.some(a => a < TOO_SMALL * mean)) return null
  const rms = Math.sqrt(Math.max(0, squares / count - (sum / count) ** 2))
  const ofNoise = Math.sqrt(
    (noisePower * window.enbwBins) /
      ((length * series.rateHz) / rateHz) /
      2 /
      Math.max(meanPower(series) - noisePower, 1e-30),
  )
  return rms > Math.max(MOVES, ABOVE_NOISE * ofNoise) ? track : null
}

/** Means of so many samples, one after the other. */
function summed({ re, im, rateHz }: Series, count: number): Series {
  if (count < 2) return { re, im, rateHz }
  const n = Math.floor(re.length / count)
  const out = { re: new Float32Array(n), im: new Float32Array(n), rateHz: rateHz / count }
  for (let k = 0, at = 0; k < n; k++) {
    let x = 0
    let y = 0
    for (let j = 0; j < count; j++, at++) {
      x += re[at]!
      y += im[at]!
    }
    out.re[k] = x / count
    out.im[k] = y / count
  }
  return out
}
