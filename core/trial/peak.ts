import { depthByPep, powerRatioToDb, relativeBound, voltageRatioToDb } from '../quantity'
import { carrierOf, depthIn, figureIn, isSameMeter, type Trial } from './trials'

/** Whether a peak is what its depth asks for, by what the meters may be off by; null = nobody knows that. */
export type PeakVerdict = 'fits' | 'less' | 'more' | null

/** A peak against the one that the depth stands for while no crest is flattened. */
export interface PeakByDepth {
  readonly kind: 'pep' | 'envelope'
  readonly depthRatio: number
  /** PEP [W], or envelope over that of the bare carrier */
  readonly expected: number
  readonly read: number
  /** read over expected */
  readonly db: number
  readonly boundDb: number | null
  readonly verdict: PeakVerdict
}

/**
 * PEP over the bare carrier is (1 + m)^2 of it, the envelope 1 + m. Source: arithmetic of the AM envelope
 * (C01, C05); 3.6 W and 100 % are 14.4 W PEP.
 * Limits: a tone; the depth is what the modulation meter says, and a peak meter may overshoot.
 */
export function peaksByDepth(trial: Trial): PeakByDepth[] {
  const depth = trial.noted.signal === 'tone' ? depthIn(trial) : null
  if (!depth) return []
  const peak = 1 + depth.value
  const [pep, carrier] = [figureIn(trial, 'pepW'), carrierOf(trial, 'pepW')]
  const envelope = figureIn(trial, 'envelopePeakRatio')
  const found: PeakByDepth[] = []
  if (pep && carrier) {
    const share = relativeBound([pep, pep.value], [carrier, carrier.value], [depth, peak / 2])
    const expected = carrier.value * peak ** 2
    found.push(compared('pep', depth.value, expected, pep.value, powerRatioToDb, share))
  }
  if (envelope) {
    const share = relativeBound([envelope, envelope.value], [depth, peak])
    found.push(compared('envelope', depth.value, peak, envelope.value, voltageRatioToDb, share))
  }
  return found
}

/** The PEP is what carrier and depth ask for, and no scope contradicts it. */
export function isLinear(trial: Trial): boolean {
  const peaks = peaksByDepth(trial)
  return peaks.some(p => p.kind === 'pep') && peaks.every(p => p.verdict === 'fits')
}

function compared(
  kind: PeakByDepth['kind'],
  depthRatio: number,
  expected: number,
  read: number,
  toDb: (ratio: number) => number,
  share: number | null,
): PeakByDepth {
  const db = toDb(read / expected)
  const boundDb = share === null ? null : toDb(1 + share)
  return { kind, depthRatio, expected, read, db, boundDb, verdict: verdictOf(db, boundDb) }
}

function verdictOf(db: number, boundDb: number | null): PeakVerdict {
  if (boundDb === null) return null
  if (Math.abs(db) <= boundDb) return 'fits'
  return db < 0 ? 'less' : 'more'
}

/** Two trials that were called the same depth, and cannot both have had it. */
export interface NotSameDepth {
  readonly kind: 'not-same-depth'
  readonly other: Trial
  readonly depthRatio: number
  readonly readW: number
  readonly otherW: number
  readonly db: number
  /** depth that the larger PEP stands for; null = no carrier was read */
  readonly largerDepthRatio: number | null
}

/** Depths this near are called the same [ratio]: half a point, as a modulation meter shows it. */
const SAME_DEPTH = 0.005

/**
 * The same depth of the same carrier on the same meter and scale gives the same PEP, but for what the
 * modulation meter may be off by.
 */
export function notSameDepth(trial: Trial, earlier: readonly Trial[]): NotSameDepth[] {
  const [depth, pep] = [depthIn(trial), figureIn(trial, 'pepW')]
  if (!depth || !pep || trial.noted.signal !== 'tone') return []
  return earlier.flatMap((other): NotSameDepth[] => {
    const [otherDepth, otherPep] = [depthIn(other), figureIn(other, 'pepW')]
    if (other.base !== trial.base || other.noted.signal !== 'tone' || !otherDepth || !otherPep) return []
    if (Math.abs(otherDepth.value - depth.value) > SAME_DEPTH || !isSameMeter(pep, otherPep)) return []
    const share = relativeBound([depth, (1 + depth.value) / 2], [otherDepth, (1 + depth.value) / 2])
    const db = powerRatioToDb(pep.value / otherPep.value)
    if (share === null || Math.abs(db) <= powerRatioToDb(1 + share)) return []
    const carrier = carrierOf(trial, 'pepW')
    const larger = pep.value > otherPep.value ? pep : otherPep
    return [
      {
        kind: 'not-same-depth',
        other,
        depthRatio: depth.value,
        readW: pep.value,
        otherW: otherPep.value,
        db,
        largerDepthRatio: carrier ? depthByPep(larger, carrier).value : null,
      },
    ]
  })
}
