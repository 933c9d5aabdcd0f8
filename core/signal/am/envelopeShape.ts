import { dbToVoltageRatio } from '../../quantity'
/** A sine through the flanks of an envelope: what it would be if nothing cut its crest or trough. */
export interface FlankFit {
  readonly mean: number
  readonly swing: number
}

/** Flanks lie between these shares of the crest: below is the pinch, above the clipped crest. */
const FLANK_LOW = 0.12
const FLANK_HIGH = 0.72
/** A sine that just touches zero passes below a hundredth for 4.5 % of the time. */
const LIKE_A_SINE = 0.06
const MIN_POINTS = 24

/** Least squares of a + b cos + c sin through the flanks of a cycle; null when it has none. */
export function fitFlanks(envelope: Float64Array, crest: number): FlankFit | null {
  const n = envelope.length
  const m = [0, 0, 0, 0, 0, 0]
  const v = [0, 0, 0]
  let points = 0
  for (let k = 0; k < n; k++) {
    const y = envelope[k]!
    if (y < FLANK_LOW * crest || y > FLANK_HIGH * crest) continue
    const [c, s] = [Math.cos((2 * Math.PI * k) / n), Math.sin((2 * Math.PI * k) / n)]
    m[0]! += 1
    m[1]! += c
    m[2]! += s
    m[3]! += c * c
    m[4]! += c * s
    m[5]! += s * s
    v[0]! += y
    v[1]! += y * c
    v[2]! += y * s
    points++
  }
  if (points < MIN_POINTS) return null
  const solved = solve3(m, v)
  return solved && { mean: solved[0], swing: Math.hypot(solved[1], solved[2]) }
}

/** Symmetrical equations of three unknowns, by determinants. */
function solve3([a, b, c, d, e, f]: number[], [x, y, z]: number[]): [number, number, number] | null {
  const det = a! * (d! * f! - e! * e!) - b! * (b! * f! - e! * c!) + c! * (b! * e! - d! * c!)
  if (Math.abs(det) < 1e-12 * Math.abs(a! * d! * f!)) return null
  return [
    (x! * (d! * f! - e! * e!) - b! * (y! * f! - e! * z!) + c! * (y! * e! - d! * z!)) / det,
    (a! * (y! * f! - e! * z!) - x! * (b! * f! - e! * c!) + c! * (b! * z! - y! * c!)) / det,
    (a! * (d! * z! - y! * e!) - b! * (b! * z! - y! * c!) + x! * (b! * e! - d! * c!)) / det,
  ]
}

/** Where the flanks would cross: share of a cycle that a sine lies beyond a level. */
function shareBeyond(fit: FlankFit, level: number, side: 1 | -1): number {
  const x = (side * (level - fit.mean)) / fit.swing
  if (x >= 1) return 0
  return x <= -1 ? 1 : Math.acos(x) / Math.PI
}

/**
 * Share of the time without carrier. Below a hundredth of the carrier, or three times the noise, counts; the
 * moments in which a sine itself passes there on its way do not (C02: arccos(1/m)/pi of an ideal pinched-off
 * sine).
 */
export function pinchedShare(envelope: Float64Array, fit: FlankFit | null, thresholdV: number): number {
  let below = 0
  for (const y of envelope) if (y < thresholdV) below++
  const dwell = below / envelope.length
  if (dwell === 0 || !fit) return dwell
  const ofSine = shareBeyond(fit, 0, -1)
  // Ripple at the corners moves the dwell, the flanks stay; a trough of another shape is taken as it is.
  return Math.abs(dwell - ofSine) < LIKE_A_SINE ? ofSine : dwell
}

/**
 * The level of a crest that is cut off: the middle of its points, so that ripple at the corners does not
 * count.
 */
export function plateau(envelope: Float64Array, share: number): number {
  const top = Float64Array.from(envelope)
    .sort()
    .subarray(Math.floor(envelope.length * (1 - 0.8 * share)))
  return top[Math.floor(top.length / 2)]!
}

/** A crest lower than this below what the flanks imply is flat-topped [dB] (definition of the product). */
export const FLAT_TOP_DB = 0.3

/** A crest is looked at this far below its top [share of the swing]. */
const NEAR_TOP = 0.02
/** A cut crest stays there so many times longer than that of a sine; one that a harmonic bends does not. */
const STAYS_LONGER = 1.4

/**
 * Share of the time at a crest that is cut off: 0 unless it lies 0.3 dB below what the flanks imply, and the
 * envelope stays there. A second harmonic lowers a crest as well: it makes it rounder, not flat.
 */
export function flatTopShare(envelope: Float64Array, fit: FlankFit | null, crest: number): number {
  if (!fit || crest >= (fit.mean + fit.swing) * dbToVoltageRatio(-FLAT_TOP_DB)) return 0
  let near = 0
  for (const y of envelope) if (y > crest - NEAR_TOP * fit.swing) near++
  const ofSine = Math.acos(1 - NEAR_TOP) / Math.PI
  return near / envelope.length > STAYS_LONGER * ofSine ? shareBeyond(fit, crest, 1) : 0
}
