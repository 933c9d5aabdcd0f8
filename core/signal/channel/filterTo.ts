import { message } from '../../message'
import { note, type Note } from '../result'
import { meanPower, shifted, type Series } from '../series'
import { fastTransformOf } from '../spectrum/fastFft'
import { powerOfTwoTo } from '../spectrum/fft'
import { bandPower, spectrumOfSamples } from '../spectrum/powerSpectrum'
import type { Beside } from './beside'
import { narrowed } from './channeliser'

/** A channel in memory: flat to passHz on either side, its noise that of so wide a band. */
export interface Channel {
  readonly series: Series
  readonly passHz: number
  readonly noiseBandHz: number
}

/** A neighbour and its sidebands begin this far before its middle [Hz]. */
const NEIGHBOUR_HZ = 5000
/** No channel is made narrower than this on either side: voice needs it [Hz]. */
const MIN_PASS_HZ = 5000
/** The filter needs this much more than it passes. */
const SKIRT = 1.15
const KEPT_RATE_HZ = 48_000
/** The outermost part of a narrowed channel, by which it is told what was cut and what leaked in [Hz]. */
const EDGE_HZ = 1000

/**
 * The channel with nothing but the wanted signal in it: filtered where something is sent beside it, or where
 * a width is asked for.
 * @param middleHz middle of the wanted signal in the channel
 * @param widthHz asked for; null = as wide as what lies beside allows
 */
export function filteredTo(
  channel: Channel,
  middleHz: number,
  widthHz: number | null,
  beside: readonly Beside[],
): Channel & {
  readonly notes: readonly Note[]
  /** amplitude at the edge of the filter against the whole */
  readonly edgeRatio: number
} {
  const nearest = beside.reduce((m, b) => Math.min(m, Math.abs(b.offsetHz)), Infinity)
  const passHz = widthHz !== null ? widthHz / 2 : Math.max(MIN_PASS_HZ, nearest - NEIGHBOUR_HZ)
  const told = beside.map(b =>
    note(
      'neighbour-beside',
      message(b.offsetHz > 0 ? 'note.neighbourAbove' : 'note.neighbourBelow', {
        khz: (Math.abs(b.offsetHz) / 1000).toFixed(1),
        strength: strength(b.db),
      }),
    ),
  )
  if (!(passHz < 0.8 * channel.passHz)) return { ...channel, notes: told, edgeRatio: 0 }
  const series = shifted(narrowed(shifted(channel.series, middleHz), KEPT_RATE_HZ, passHz), -middleHz)
  const words = note('narrowed', message('note.narrowed', { value: ((2 * passHz) / 1000).toFixed(1) }))
  return {
    series,
    passHz,
    noiseBandHz: 2 * SKIRT * passHz,
    notes: [...told, words],
    edgeRatio: edgeOf(series, middleHz, passHz),
  }
}

const strength = (db: number) =>
  Math.abs(db) < 0.5
    ? message('note.asStrong')
    : message(db > 0 ? 'note.stronger' : 'note.weaker', { db: Math.abs(db).toFixed(0) })

function edgeOf(series: Series, middleHz: number, passHz: number): number {
  const s = spectrumOfSamples(series.re, series.im, series.rateHz, 1024)
  const edges =
    bandPower(s, middleHz + passHz - EDGE_HZ, middleHz + passHz) +
    bandPower(s, middleHz - passHz, middleHz - passHz + EDGE_HZ)
  return Math.sqrt(edges / Math.max(meanPower(series), 1e-30))
}

const OF_NOISE = 2
const LIKE_NOISE = 0.12
/** A constant size lies one away: nearer to it than this nothing is called noise. */
const MAX_UNLIKE = 0.85

/**
 * Whether a channel holds nothing but Gaussian noise, of whatever shape a receiver gave it.
 * @param bandwidthHz that the noise fills
 */
export function isNoise(series: Series, bandwidthHz: number): boolean {
  const told = Math.max(1, (series.re.length / series.rateHz) * Math.min(bandwidthHz, series.rateHz))
  if (strongestShare(series) > Math.min(SURELY_A_LINE, (LINE_ABOVE * (Math.log(told) + 3)) / told))
    return false
  return (
    Math.abs(momentOf(series) - OF_NOISE) <
    Math.min(MAX_UNLIKE, Math.max(LIKE_NOISE, 6 * Math.sqrt(20 / told)))
  )
}

/**
 * The largest of so many equal lines of noise holds (ln n + 0.6)/n of the power on average; a line that holds
 * this many times more is none of them.
 */
const LINE_ABOVE = 4
/** Share of the power that no line of noise holds, unless it is narrower than some lines. */
const SURELY_A_LINE = 0.3
const MAX_TRANSFORMED = 65_536

/** Share of the power in the strongest line. */
function strongestShare({ re, im }: Series): number {
  const size = powerOfTwoTo(Math.min(re.length, MAX_TRANSFORMED))
  const transform = fastTransformOf(size)
  const input = transform.input()
  let power = 0
  for (let n = 0; n < size; n++) {
    input[2 * n] = re[n]!
    input[2 * n + 1] = im[n]!
    power += re[n]! ** 2 + im[n]! ** 2
  }
  transform.forward()
  const output = transform.output()
  let most = 0
  for (let k = 0; k < size; k++) most = Math.max(most, output[2 * k]! ** 2 + output[2 * k + 1]! ** 2)
  return most / size / Math.max(power, 1e-300)
}

/** A second signal this far below the first shows in the size of their sum [ratio of power]. */
const SECOND_SEEN = 0.0015

/**
 * Whether the size of a channel stands still but for its noise: one signal with frequency modulation, however
 * wide, and no stranger.
 */
export function isOneOfConstantSize({ series }: Channel, noisePower: number): boolean {
  const noise = noisePower / Math.max(meanPower(series) - noisePower, 1e-30)
  return momentOf(series) - 1 < 2 * SECOND_SEEN + 2.2 * noise && noise < 0.05
}

/** Fourth moment of the size over the square of its second: 1 of a constant one, 2 of noise. */
function momentOf({ re, im }: Series): number {
  let [second, fourth] = [0, 0]
  for (let n = 0; n < re.length; n++) {
    const p = re[n]! ** 2 + im[n]! ** 2
    second += p
    fourth += p * p
  }
  return (re.length * fourth) / Math.max(second ** 2, 1e-300)
}
