import { dbToPowerRatio } from '../../quantity'
import { spectrumOfSamples, noiseFloor } from '../spectrum/powerSpectrum'
import { powerOfTwoTo } from '../spectrum/fft'
import { peakFrequency } from '../tone/lines'

/** Two tones of sound and what lies between them. */
export interface Beat {
  readonly lowHz: number
  readonly highHz: number
  readonly differenceHz: number
}

const MIN_HZ = 50
/** Nearer than this two tones are one that beats: they are told apart by their envelope [bins]. */
const APART_BINS = 4
const WITHIN_DB = 30
/** Distortion of a receiver is weaker than this against its tone. */
const MAX_HARMONIC = 0.1

/** A weaker tone at a multiple of the other is its distortion, not a second tone. */
function isHarmonic(hz: number, ofHz: number, binHz: number, powerRatio: number): boolean {
  const order = Math.round(hz / ofHz)
  return order >= 2 && powerRatio < MAX_HARMONIC && Math.abs(hz - order * ofHz) < APART_BINS * order * binHz
}

/**
 * The two strongest tones of a piece of sound and their difference (C22): 2 s tell it to 0.1 Hz.
 * @param x sound, some seconds, in any unit
 * @param rateHz its samples a second
 * @returns null when fewer than two tones stand out
 */
export function beatOf(x: Float64Array, rateHz: number): Beat | null {
  const size = powerOfTwoTo(x.length)
  if (size < 1024) return null
  const averaged = spectrumOfSamples(x.subarray(0, size), null, rateHz, size, size)
  const { power, fromHz, binHz } = averaged
  const floor = noiseFloor(averaged)
  const peaks: number[] = []
  for (let k = Math.ceil((MIN_HZ - fromHz) / binHz); k < power.length - 1; k++) {
    if (power[k]! > power[k - 1]! && power[k]! >= power[k + 1]! && power[k]! > 30 * floor) peaks.push(k)
  }
  peaks.sort((a, b) => power[b]! - power[a]!)
  const first = peaks[0]
  const hzOf = (k: number) => fromHz + k * binHz
  const second = peaks.find(
    k =>
      Math.abs(k - first!) >= APART_BINS &&
      power[k]! > power[first!]! * dbToPowerRatio(-WITHIN_DB) &&
      !isHarmonic(hzOf(k), hzOf(first!), binHz, power[k]! / power[first!]!),
  )
  if (first === undefined || second === undefined) return null
  const [a, b] = [first, second]
    .map(k => peakFrequency(x, null, rateHz, fromHz + k * binHz))
    .sort((p, q) => p - q) as [number, number]
  return { lowHz: a, highHz: b, differenceHz: b - a }
}
