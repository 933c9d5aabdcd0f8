import type { Series } from '../series'
import type { PhaseTrack } from './phaseTrack'

const BLOCK_S = 0.04
/** Samples that are compared lie this far apart: drifts to 250 Hz either way are told [s]. */
const LAG_S = 0.002

/**
 * How a carrier wanders, roughly but far: the turn from each sample to one 2 ms later, averaged over 40 ms.
 * Equal sidebands cancel in it. A fine track of what is left follows.
 */
export function coarseTrack({ re, im, rateHz }: Series): PhaseTrack | null {
  const [block, lag] = [Math.floor(BLOCK_S * rateHz), Math.max(1, Math.round(LAG_S * rateHz))]
  const count = Math.floor((re.length - lag) / block)
  if (count < 3) return null
  const track = {
    timeS: new Float64Array(count),
    phaseRad: new Float64Array(count),
    amplitude: new Float64Array(count),
    hopS: block / rateHz,
  }
  let before = 0
  for (let b = 0; b < count; b++) {
    let [x, y] = [0, 0]
    for (let n = b * block; n < (b + 1) * block; n++) {
      x += re[n + lag]! * re[n]! + im[n + lag]! * im[n]!
      y += im[n + lag]! * re[n]! - re[n + lag]! * im[n]!
    }
    const radPerS = (Math.atan2(y, x) / lag) * rateHz
    track.timeS[b] = ((b + 0.5) * block) / rateHz
    track.phaseRad[b] = b === 0 ? 0 : track.phaseRad[b - 1]! + ((before + radPerS) / 2) * track.hopS
    before = radPerS
  }
  return track
}

/** Phase of a track at a time, straight between its points. */
export function phaseAt({ timeS, phaseRad, hopS }: PhaseTrack, t: number): number {
  const k = Math.max(0, Math.min(timeS.length - 2, Math.floor((t - timeS[0]!) / hopS)))
  return phaseRad[k]! + ((phaseRad[k + 1]! - phaseRad[k]!) * (t - timeS[k]!)) / (timeS[k + 1]! - timeS[k]!)
}
