/** Peaks of a waveform on one side, each with its standard uncertainty. */
export interface Peaks {
  readonly extreme: Peak
  readonly p999: Peak
  readonly p99: Peak
}
export interface Peak {
  readonly value: number
  readonly uncertainty: number
}

export interface PeakInput {
  /** demodulated waveform, limited to its audio */
  readonly waveform: Float64Array
  readonly rateHz: number
  /**
   * audio that the waveform holds [Hz]: it tells twice as many values a second as that apart from each other
   */
  readonly audioHz: number
  /** standard deviation of the noise in it, same unit */
  readonly noise: number
}

/** Within this many standard deviations below the largest value another one may have been the largest. */
const RIVALS_WITHIN = 2

/**
 * Largest value of a waveform, and those that 0.1 % and 1 % of the time lie beyond.
 *
 * Noise lifts an extreme: by what the largest of so many rivals has on average, which is taken off and half
 * of it stated as uncertain (approximation, held against simulation by the truth tests). A quantile is
 * uncertain by its own sampling: by how far it moves when the share does by its binomial deviation.
 */
export function upperPeaks({ waveform, rateHz, audioHz, noise }: PeakInput): Peaks {
  const sorted = Float64Array.from(waveform).sort()
  const told = Math.max(4, (sorted.length / rateHz) * 2 * audioHz)
  const share = (q: number) => {
    const at = (p: number) => sorted[Math.max(0, Math.min(sorted.length - 1, Math.floor(p * sorted.length)))]!
    const deviation = Math.sqrt((q * (1 - q)) / told)
    const spread = (at(q + deviation) - at(q - deviation)) / 2
    return { value: at(q), uncertainty: Math.hypot(spread, noise / 4) }
  }
  return { extreme: extremeOf(waveform, sorted, told, noise), p999: share(0.999), p99: share(0.99) }
}

export function lowerPeaks(input: PeakInput): Peaks {
  const { extreme, p999, p99 } = upperPeaks({ ...input, waveform: input.waveform.map(x => -x) })
  const turned = ({ value, uncertainty }: Peak): Peak => ({ value: -value, uncertainty })
  return { extreme: turned(extreme), p999: turned(p999), p99: turned(p99) }
}

function extremeOf(x: Float64Array, sorted: Float64Array, told: number, noise: number): Peak {
  let at = 0
  for (let n = 1; n < x.length; n++) if (x[n]! > x[at]!) at = n
  const top = between(x, at)
  const from = firstAbove(sorted, top - RIVALS_WITHIN * noise)
  const rivals = Math.max(1, ((sorted.length - from) / sorted.length) * told)
  const lift = 0.7 * noise * Math.sqrt(2 * Math.log(rivals))
  return {
    value: top - lift,
    uncertainty: Math.hypot(noise * (rivals > 1.5 ? 0.6 : 1), lift / 2, Math.abs(top - x[at]!)),
  }
}

/** The crest between samples, by a parabola. */
function between(x: Float64Array, at: number): number {
  if (at === 0 || at === x.length - 1) return x[at]!
  const [a, b, c] = [x[at - 1]!, x[at]!, x[at + 1]!]
  const bend = a - 2 * b + c
  return bend < 0 ? b - (a - c) ** 2 / (8 * bend) : b
}

function firstAbove(sorted: Float64Array, level: number): number {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (sorted[middle]! < level) low = middle + 1
    else high = middle
  }
  return low
}
