import type { Series } from '../series'
import { hann } from '../spectrum/window'

/** Phase of a carrier over time, one value per half window. */
export interface PhaseTrack {
  /** middle of each window, from the beginning of the series [s] */
  readonly timeS: Float64Array
  /** unwrapped [rad] */
  readonly phaseRad: Float64Array
  readonly amplitude: Float64Array
  readonly hopS: number
}

/**
 * Half-overlapping windows: long enough that a tone of 300 Hz is far outside, short enough to follow a drift.
 */
const WINDOW_S = 0.04

/**
 * Phase and size of what lies within some 50 Hz of 0 Hz.
 * @param series a channel whose carrier is within 10 Hz of 0 Hz
 */
export function phaseTrack({ re, im, rateHz }: Series): PhaseTrack {
  const length = Math.max(16, Math.min(Math.floor(WINDOW_S * rateHz), Math.floor(re.length / 4)))
  const hop = Math.floor(length / 2)
  const { values, sum } = hann(length)
  const count = Math.max(0, Math.floor((re.length - length) / hop) + 1)
  const track = {
    timeS: new Float64Array(count),
    phaseRad: new Float64Array(count),
    amplitude: new Float64Array(count),
    hopS: hop / rateHz,
  }
  for (let b = 0; b < count; b++) {
    let [x, y] = [0, 0]
    for (let n = 0, at = b * hop; n < length; n++, at++) {
      x += re[at]! * values[n]!
      y += im[at]! * values[n]!
    }
    track.timeS[b] = (b * hop + (length - 1) / 2) / rateHz
    track.amplitude[b] = Math.hypot(x, y) / sum
    const phase = Math.atan2(y, x)
    const before = b === 0 ? phase : track.phaseRad[b - 1]!
    track.phaseRad[b] = before + wrap(phase - before)
  }
  return track
}

const wrap = (angle: number) => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI))
