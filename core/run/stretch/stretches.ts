import type { Quantity } from '../../quantity'
import type { StretchNames } from './circumstances'

/** A live reading with what it was taken under. */
export interface WatchedSample extends StretchNames {
  readonly atMs: number
  readonly value: number
}

/** Undisturbed readings, in order. */
export interface Stretch {
  readonly samples: readonly WatchedSample[]
  readonly alike: string
}

/** So many readings tell noise and drift of a stretch; before them no step is looked for. */
const MIN_KNOWN = 5
/** Noise and drift are told by the readings of so long before [ms]. */
const LOOK_BACK_MS = 30_000
/** A step is a reading so many standard deviations beside where drift leads. */
const STEP_SIGMAS = 6
/**
 * Scatter that is taken for granted although a display may hide it [ratio of the reading]: a counter's last
 * digit, a needle.
 */
const MIN_SCATTER_RATIO = { frequency: 1e-8, other: 1e-3 }

/**
 * Cuts a stream of readings into undisturbed stretches: where the circumstances change, and where a reading
 * steps away from where noise and drift lead, since a hand that turns does not always say so.
 * @param samples of one quantity, in order of time
 * @param quantity says how finely its instruments resolve
 * Limits: a turn slower than the drift itself is not seen; it takes five readings to know noise and drift.
 */
export function stretches(samples: readonly WatchedSample[], quantity: Quantity): Stretch[] {
  const minRatio =
    quantity === 'carrierHz' || quantity === 'referenceHz'
      ? MIN_SCATTER_RATIO.frequency
      : MIN_SCATTER_RATIO.other
  const out: WatchedSample[][] = []
  for (const sample of samples) {
    const now = out.at(-1)
    const goesOn =
      now !== undefined && now.at(-1)!.stretch === sample.stretch && !isStep(now, sample, minRatio)
    if (goesOn) now.push(sample)
    else out.push([sample])
  }
  return out.map(list => ({ samples: list, alike: list[0]!.alike }))
}

/** The stretch that goes on now; empty = nothing was read yet. */
export function currentStretch(
  samples: readonly WatchedSample[],
  quantity: Quantity,
): readonly WatchedSample[] {
  return stretches(samples, quantity).at(-1)?.samples ?? []
}

function isStep(before: readonly WatchedSample[], next: WatchedSample, minRatio: number): boolean {
  const known = before.filter(s => s.atMs >= next.atMs - LOOK_BACK_MS)
  if (known.length < MIN_KNOWN) return false
  const { predicted, sigma } = extrapolated(known, next.atMs, minRatio * Math.abs(next.value))
  return Math.abs(next.value - predicted) > STEP_SIGMAS * sigma
}

/** A straight line through the last readings, at a later time, with what it may be off by. */
function extrapolated(
  samples: readonly WatchedSample[],
  atMs: number,
  minScatter: number,
): { predicted: number; sigma: number } {
  const n = samples.length
  const origin = samples[0]!
  const t = samples.map(s => (s.atMs - origin.atMs) / 1000)
  const y = samples.map(s => s.value - origin.value)
  const meanT = t.reduce((a, b) => a + b, 0) / n
  const meanY = y.reduce((a, b) => a + b, 0) / n
  const stt = t.reduce((a, v) => a + (v - meanT) ** 2, 0)
  const slope = stt > 0 ? t.reduce((a, v, i) => a + (v - meanT) * (y[i]! - meanY), 0) / stt : 0
  const at = (atMs - origin.atMs) / 1000
  const misfit = t.reduce((a, v, i) => a + (y[i]! - meanY - slope * (v - meanT)) ** 2, 0)
  const scatter = Math.max(Math.sqrt(misfit / Math.max(1, n - 2)), minScatter)
  const reach = 1 + 1 / n + (stt > 0 ? (at - meanT) ** 2 / stt : 0)
  return { predicted: origin.value + meanY + slope * (at - meanT), sigma: scatter * Math.sqrt(reach) }
}
