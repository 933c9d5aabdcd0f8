import { dbToPowerRatio } from '../quantity'
import { noiseBeside } from './spectrum/noiseBands'
import type { PowerSpectrum } from './spectrum/powerSpectrum'

/** Where something is sent in a spectrum. */
export interface Located {
  readonly present: boolean
  /** strongest line, between bins [Hz] */
  readonly peakHz: number
  readonly peakPower: number
  /** noise of the receiver beside it, per bin */
  readonly floor: number
  /** the strongest line looks like steady noise: the channel must tell */
  readonly likeNoise: boolean
  /**
   * there is a line, but it stands at the centre alone: an offset of the receiver, or a weak carrier on it
   */
  readonly onlyAtCentre: boolean
}

/** A line near 0 Hz and this small, with nothing else, is the offset of a receiver and no signal. */
const MAX_OFFSET = dbToPowerRatio(-40)
const SILENCE = 1e-11
/**
 * A set is looked for this far from its nominal frequency: half a raster. Further off it is told as such
 * [Hz].
 */
const NEAR_HZ = 5000
/**
 * A line is the sideband of another when its mirror about that one is as strong within this [ratio of power],
 * and the other is stronger.
 */
const MIRRORED = 1.6
const STRONGER = 2
/** Bins about a line that belong to it. */
const LOBE = 4
/** Kurtosis of a line, of speech or of keying lies further from 1 than this. */
const STEADY = 0.35

/**
 * The strongest line and the noise beside it.
 * @param nearHz look within half a raster of this first; null = everywhere
 */
export function locate(s: PowerSpectrum, nearHz: number | null, isReal: boolean): Located {
  const counts = (hz: number) => !isReal || hz > 4 * s.binHz
  const strongestOfAll = strongest(s, counts)
  if (strongestOfAll === null)
    return { present: false, peakHz: 0, peakPower: 0, floor: 0, likeNoise: true, onlyAtCentre: false }
  const hzOf = (k: number) => s.fromHz + k * s.binHz
  const floorAt = (k: number) => noiseBeside(s, hzOf(k), hz => !isReal || hz > 0)
  const near = nearHz === null ? null : strongest(s, hz => counts(hz) && Math.abs(hz - nearHz) < NEAR_HZ)
  const isThere =
    near !== null && s.power[near]! > threshold(s) * floorAt(near) && !isSideband(s, near, strongestOfAll)
  const best = isThere ? near : strongestOfAll
  const [peakHz, floor] = [vertex(s, best), floorAt(best)]
  const total = s.power.reduce((a, b) => a + b, 0)
  const onlyOffset =
    !isReal &&
    Math.abs(peakHz) < 3 * s.binHz &&
    s.power[best]! * 2 < MAX_OFFSET &&
    !standsBeside(s, best, floor)
  const stands = total > SILENCE && s.power[best]! > threshold(s) * floor
  const kurtosis = s.kurtosis.subarray(Math.max(0, best - LOBE), best + LOBE + 1)
  const mean = kurtosis.reduce((a, b) => a + b, 0) / kurtosis.length
  return {
    present: stands && !onlyOffset,
    onlyAtCentre: stands && onlyOffset,
    peakHz,
    peakPower: s.power[best]!,
    floor,
    likeNoise:
      Number.isNaN(mean) ||
      Math.abs(mean - 1) < Math.max(STEADY, 6 * Math.sqrt(4 / s.segments / kurtosis.length)),
  }
}

/** Whether a line is a sideband of a stronger one: that one has another like it on its other side. */
function isSideband(s: PowerSpectrum, at: number, carrier: number): boolean {
  if (at === carrier) return false
  const around = (k: number) =>
    s.power.subarray(Math.max(0, k - LOBE), k + LOBE + 1).reduce((a, b) => a + b, 0)
  const [own, mirror, whole] = [around(at), around(2 * carrier - at), around(carrier)]
  return whole > STRONGER * own && mirror < MIRRORED * own && own < MIRRORED * mirror
}

/** How far a bin of averaged noise may rise by chance, and 6 dB at least. */
function threshold({ segments }: PowerSpectrum): number {
  return 4 + 10 / Math.sqrt(segments) + 12 / segments
}

function strongest(s: PowerSpectrum, counts: (hz: number) => boolean): number | null {
  let best: number | null = null
  for (let k = 0; k < s.power.length; k++)
    if (counts(s.fromHz + k * s.binHz) && (best === null || s.power[k]! > s.power[best]!)) best = k
  return best
}

/** Anything but the line at zero itself. */
function standsBeside(s: PowerSpectrum, at: number, floor: number): boolean {
  return s.power.some((p, k) => Math.abs(k - at) > 6 && p > threshold(s) * floor)
}

/** Between bins, by a parabola through the logarithms. */
function vertex(s: PowerSpectrum, k: number): number {
  const [a, b, c] = [k - 1, k, k + 1].map(n => Math.log(Math.max(s.power[n] ?? 0, 1e-300))) as [
    number,
    number,
    number,
  ]
  const bend = a - 2 * b + c
  const shift = bend < 0 ? Math.max(-0.5, Math.min(0.5, (0.5 * (a - c)) / bend)) : 0
  return s.fromHz + (k + shift) * s.binHz
}
