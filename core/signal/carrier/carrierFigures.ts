import type { Series } from '../series'
import { largestPart, type Limit } from '../limits'
import { ratioToDb, type CarrierFigures } from '../result'
import { meanFrequency } from '../fm/fmFigures'
import { hann } from '../spectrum/window'
import { fitDrift, type Drift } from './drift'
import { lineFit } from '../../numeric/lineFit'
import type { PhaseTrack } from './phaseTrack'

/** Standard deviation of a mean frequency by these weights over the least there can be (by simulation). */
const MEAN_BY_WEIGHTS = 1.1
/** Rounding of a phase and of a mean frequency over a recording [Hz]. */
const PHASE_FLOOR_HZ = 1e-6
const MEAN_FLOOR_HZ = 1e-5
/** Points in which a drift is fitted: more cost time and tell nothing. */
const MAX_POINTS = 400

/** A carrier in a channel: its frequency there, how sure, and how it moved. */
export interface CarrierInChannel {
  readonly hz: number
  readonly uncertaintyHz: number
  readonly limitedBy: Limit | null
  readonly drift: Drift | null
}

/** AM or a bare carrier: a straight line through the phase of its carrier, window by window. */
export function carrierByPhase(track: PhaseTrack, endS: number): CarrierInChannel {
  const fit = lineFit(track.timeS, track.phaseRad)
  const hz = Float64Array.from(
    { length: Math.max(0, track.timeS.length - 1) },
    (_, b) => (track.phaseRad[b + 1]! - track.phaseRad[b]!) / (2 * Math.PI * track.hopS),
  )
  const times = Float64Array.from(hz, (_, b) => (track.timeS[b]! + track.timeS[b + 1]!) / 2)
  const few = thinned(times, hz)
  // Windows that overlap by half share a third of their noise.
  const ofNoise = (1.3 * fit.slopeUncertainty) / (2 * Math.PI)
  return {
    hz: fit.slope / (2 * Math.PI),
    uncertaintyHz: Math.max(PHASE_FLOOR_HZ, ofNoise),
    limitedBy: largestPart({ noise: ofNoise, recorder: PHASE_FLOOR_HZ }),
    drift: fitDrift(few.times, few.hz, endS),
  }
}

/**
 * Weights that fall to nothing at both ends leave this of a wave of so many cycles [ratio of its size, at one
 * cycle; falls with the cube] (by simulation).
 */
const LEFT_OF_A_CYCLE = 0.25

/** What the modulation leaves in a mean over all of it: a voice or a tone in the middle of the audio [Hz]. */
function leftOfModulation(hz: Float64Array, mean: number, rateHz: number): number {
  const rms = Math.sqrt(hz.reduce((s, f) => s + (f - mean) ** 2, 0) / Math.max(1, hz.length))
  const cycles = Math.max(1, (LOWEST_AUDIO_HZ * hz.length) / rateHz)
  return (LEFT_OF_A_CYCLE * rms) / cycles ** 3
}
const LOWEST_AUDIO_HZ = 300

/**
 * FM: the mean of the frequency, and its movement once the modulation has been averaged out of it.
 * @param noisePerCarrierHz noise density over the power of the carrier [1/Hz]
 */
export function carrierByFrequency(
  hz: Float64Array,
  rateHz: number,
  noisePerCarrierHz: number,
): CarrierInChannel {
  const length = Math.max(16, Math.min(Math.floor(0.1 * rateHz), Math.floor(hz.length / 8)))
  const hop = Math.floor(length / 2)
  const { values, sum } = hann(length)
  const count = Math.max(1, Math.floor((hz.length - length) / hop) + 1)
  const means = Float64Array.from({ length: count }, (_, b) => {
    let total = 0
    for (let n = 0; n < length; n++) total += hz[b * hop + n]! * values[n]!
    return total / sum
  })
  const times = Float64Array.from({ length: count }, (_, b) => (b * hop + length / 2) / rateHz)
  const few = thinned(times, means)
  const mean = meanFrequency(hz)
  const seconds = hz.length / rateHz
  // Cramer and Rao for a frequency (Rife and Boorstyn 1974, from memory), and what the weights lose.
  const ofNoise = (MEAN_BY_WEIGHTS * Math.sqrt((6 * noisePerCarrierHz) / seconds ** 3)) / (2 * Math.PI)
  const drift = fitDrift(few.times, few.hz, seconds)
  const moved = drift ? Math.abs(drift.endHz - drift.startHz) * 0.05 : 0
  const parts = {
    noise: ofNoise,
    modulation: leftOfModulation(hz, mean, rateHz),
    drift: moved,
    recorder: MEAN_FLOOR_HZ,
  }
  return {
    hz: mean,
    uncertaintyHz: Math.hypot(...Object.values(parts)),
    limitedBy: largestPart(parts),
    drift,
  }
}

/** Means of neighbours, so that a long recording is fitted as quickly as a short one. */
function thinned(times: Float64Array, hz: Float64Array): { times: Float64Array; hz: Float64Array } {
  const group = Math.ceil(hz.length / MAX_POINTS)
  const mean = (x: Float64Array) =>
    Float64Array.from(
      { length: Math.floor(x.length / Math.max(1, group)) },
      (_, k) => x.subarray(k * group, (k + 1) * group).reduce((a, b) => a + b, 0) / group,
    )
  return group <= 1 ? { times, hz } : { times: mean(times), hz: mean(hz) }
}

/**
 * A channel with its carrier turned to phase zero all along, however it drifts. The channel itself is turned:
 * a long one is not held twice.
 */
export function derotate(series: Series, track: PhaseTrack): Series {
  const { timeS, phaseRad } = track
  if (timeS.length < 2) return series
  const { re, im } = series
  const last = timeS.length - 2
  for (let b = 0; b <= last; b++) {
    const slope = (phaseRad[b + 1]! - phaseRad[b]!) / (timeS[b + 1]! - timeS[b]!)
    const from = b === 0 ? 0 : Math.ceil(timeS[b]! * series.rateHz)
    const to = b === last ? series.re.length : Math.ceil(timeS[b + 1]! * series.rateHz)
    const step = slope / series.rateHz
    const start = phaseRad[b]! + slope * (from / series.rateHz - timeS[b]!)
    const [stepC, stepS] = [Math.cos(step), -Math.sin(step)]
    let [c, s] = [Math.cos(start), -Math.sin(start)]
    for (let n = from; n < to; n++) {
      const x = re[n]!
      const y = im[n]!
      re[n] = x * c - y * s
      im[n] = x * s + y * c
      const next = c * stepC - s * stepS
      s = c * stepS + s * stepC
      c = next
    }
  }
  return series
}

/**
 * The figures as they are shown: absolute where the recording was tuned to something known.
 * @param channelHz middle of the channel against that of the recording
 * @param centreHz what the recording was tuned to; null = only offsets are known
 * @param nominalHz what the set should be on; null = no error is said
 * @param power of the carrier, full scale = 1
 * @param referencePpm of the receiver's reference; null = unknown, and the uncertainty is that of the line
 */
export function carrierFigures(
  carrier: CarrierInChannel,
  channelHz: number,
  centreHz: number | null,
  nominalHz: number | null,
  power: number,
  referencePpm: number | null,
): CarrierFigures {
  const baseHz = channelHz + carrier.hz
  const absoluteHz = centreHz === null ? null : centreHz + baseHz
  const reference = nominalHz !== null && centreHz !== null ? nominalHz - centreHz : 0
  const shift = channelHz + (centreHz ?? 0)
  const { drift } = carrier
  const uncertaintyHz =
    referencePpm === null || absoluteHz === null
      ? carrier.uncertaintyHz
      : Math.hypot(carrier.uncertaintyHz, referencePpm * 1e-6 * absoluteHz)
  return {
    frequencyHz: absoluteHz,
    offsetHz: baseHz - reference,
    errorPpm: nominalHz !== null && centreHz !== null ? ((baseHz - reference) / nominalHz) * 1e6 : null,
    uncertaintyHz,
    levelDbfs: ratioToDb(power),
    drift: drift && {
      startHz: drift.startHz + shift,
      endHz: drift.endHz + shift,
      finalHz: drift.finalHz === null ? null : drift.finalHz + shift,
      tauS: drift.tauS,
    },
  }
}
