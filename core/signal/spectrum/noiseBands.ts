import { noiseFloor, type PowerSpectrum } from './powerSpectrum'

/** A stretch of a spectrum: what most of its bins hold, and whether it is steady Gaussian noise. */
export interface Band {
  readonly hz: number
  /** mean power per bin, put right for the quantile */
  readonly level: number
  readonly isNoise: boolean
}

const BAND_HZ = 1000
const MIN_BINS = 12
/** With fewer segments the kurtosis says nothing. */
const MIN_SEGMENTS = 12
/** Kurtosis of a band of noise lies this near to 1, and within four of its standard deviations. */
const SURELY_NOISE = 0.15
/** Within this of a signal its own sidebands are [Hz]. */
const OWN_HZ = 4500
/** The noise of a channel is looked for this far [Hz]: a receiver may let no more through. */
const REACH_HZ = 25_000
/**
 * A fall as deep as this [ratio] within so many bands is the edge of a receiver, not splatter that grows
 * less.
 */
const STOPPED = 10
const EDGE_BANDS = 2

/** A spectrum in bands of a kilohertz or so. */
export function bandsOf(s: PowerSpectrum): Band[] {
  const size = Math.max(MIN_BINS, Math.round(BAND_HZ / s.binHz))
  const out: Band[] = []
  const variance = 1 / (9 * s.segments)
  const quantile = Math.max(0.2, (1 - variance - 0.2533 * Math.sqrt(variance)) ** 3)
  for (let from = 0; from + size <= s.power.length; from += size) {
    const bins = Float64Array.from(s.power.subarray(from, from + size)).sort()
    const kurtosis = s.kurtosis.subarray(from, from + size).reduce((a, b) => a + b, 0) / size
    const slack = Math.max(SURELY_NOISE, 4 * Math.sqrt(4 / s.segments / size))
    out.push({
      hz: s.fromHz + (from + (size - 1) / 2) * s.binHz,
      level: bins[Math.floor(0.4 * size)]! / quantile,
      isNoise: s.segments >= MIN_SEGMENTS && Math.abs(kurtosis - 1) < slack,
    })
  }
  return out
}

/**
 * Noise of the receiver beside a signal, per bin: from bands of steady Gaussian noise within its pass band.
 * What comes and goes with the modulation is no noise, and the quiet of a stop band is none of the channel.
 * @param counts frequencies that are looked at
 */
export function noiseBeside(s: PowerSpectrum, signalHz: number, counts: (hz: number) => boolean): number {
  const bands = bandsOf(s).filter(b => counts(b.hz) && b.level > 0 && Math.abs(b.hz - signalHz) > OWN_HZ)
  const near = bands.filter(b => Math.abs(b.hz - signalHz) < REACH_HZ)
  const used = near.filter(b => b.isNoise).length >= 2 ? near : bands
  if (used.filter(b => b.isNoise).length < 2)
    return noiseFloor(
      s,
      hz => counts(hz) && (Math.abs(hz - signalHz) > 2 * OWN_HZ || s.power.length * s.binHz < 8 * OWN_HZ),
    )
  const sides = [-1, 1].map(side =>
    passed(
      used
        .filter(b => (b.hz - signalHz) * side > 0)
        .sort((a, b) => Math.abs(a.hz - signalHz) - Math.abs(b.hz - signalHz)),
    ),
  )
  const levels = sides.flatMap(s => s.bands.filter(b => b.isNoise).map(b => b.level)).sort((a, b) => a - b)
  // What falls off gradually is splatter on top of the noise: the quiet part of it counts. What falls off a
  // cliff is a receiver.
  const share = sides.some(s => s.hasEdge) ? 0.5 : 0.25
  return (
    levels[Math.floor(levels.length * share)] ??
    used.filter(b => b.isNoise).reduce((m, b) => Math.max(m, b.level), 0)
  )
}

/** The bands of one side, from the signal outwards, as far as the receiver lets them through. */
function passed(side: readonly Band[]): { bands: readonly Band[]; hasEdge: boolean } {
  const edge = side.findIndex((b, k) =>
    side.slice(Math.max(0, k - EDGE_BANDS), k).some(c => c.level > STOPPED * b.level),
  )
  return edge < 0
    ? { bands: side, hasEdge: false }
    : { bands: side.slice(0, Math.max(1, edge - 1)), hasEdge: true }
}
