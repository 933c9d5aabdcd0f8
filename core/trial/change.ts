import {
  expandedUncertainty,
  powerRatioToDb,
  relativeBound,
  voltageRatioToDb,
  type Reading,
} from '../quantity'
import { depthIn, figureIn, isSameMeter, levelIn, readIn, type Trial } from './trials'

/** What grew from one trial to the next, and what did not; null = it was not read in both. */
export interface Change {
  readonly kind: 'change'
  readonly from: Trial
  readonly pepDb: number
  /** what the depths ask for while nothing is flattened [dB] */
  readonly depthDb: number | null
  readonly peakDb: number | null
  /** line of the carrier against that of the bare one [dB] */
  readonly lineDb: number | null
  /** what the line may have moved by without being seen to [dB]; null = it was seen to, or was not read */
  readonly lineStayedWithinDb: number | null
  readonly neighbours: NeighbourChange | null
  /** the crest did not rise with the meter, by more than both may be off by */
  readonly isOvershoot: boolean
}

/** The strongest line beside the channel in both trials. */
export interface NeighbourChange {
  readonly before: Reading
  readonly now: Reading
  /** by more than both readings may be off by */
  readonly haveRisen: boolean
}

/**
 * The same carrier with more audio: the meter, the crest on the scope, the line of the carrier and the
 * neighbours side by side. Meters are compared on one scale only.
 */
export function changes(trial: Trial): Change[] {
  const from = trial.before
  const [now, was] = [figureIn(trial, 'pepW'), figureIn(from, 'pepW')]
  if (!from || trial.noted.signal === 'carrier' || !trial.base) return []
  if (!now || !was || !isSameMeter(now, was)) return []
  const pepDb = powerRatioToDb(now.value / was.value)
  const peak = peakChange(trial, from)
  const line = levelIn(trial, 'carrierLineDb')
  const lineBoundDb = line && expandedUncertainty(line)
  return [
    {
      kind: 'change',
      from,
      pepDb,
      depthDb: depthChange(trial, from),
      peakDb: peak?.db ?? null,
      lineDb: line?.value ?? null,
      lineStayedWithinDb: line && lineBoundDb && Math.abs(line.value) <= lineBoundDb ? lineBoundDb : null,
      neighbours: neighboursOf(trial, from),
      isOvershoot: isBeyond(pepDb, now, was, peak),
    },
  ]
}

function depthChange(trial: Trial, from: Trial): number | null {
  const [now, was] = [depthIn(trial), depthIn(from)]
  if (trial.noted.signal !== 'tone' || !now || !was) return null
  return voltageRatioToDb((1 + now.value) / (1 + was.value))
}

interface PeakChange {
  readonly db: number
  readonly boundDb: number | null
}

function peakChange(trial: Trial, from: Trial): PeakChange | null {
  const [now, was] = [figureIn(trial, 'envelopePeakRatio'), figureIn(from, 'envelopePeakRatio')]
  if (!now || !was || !isSameMeter(now, was)) return null
  const share = relativeBound([now, now.value], [was, was.value])
  return {
    db: voltageRatioToDb(now.value / was.value),
    boundDb: share === null ? null : voltageRatioToDb(1 + share),
  }
}

function isBeyond(pepDb: number, now: Reading, was: Reading, peak: PeakChange | null): boolean {
  const share = relativeBound([now, now.value], [was, was.value])
  if (!peak || peak.boundDb === null || share === null) return false
  return pepDb - peak.db > Math.hypot(peak.boundDb, powerRatioToDb(1 + share))
}

function neighboursOf(trial: Trial, from: Trial): NeighbourChange | null {
  const [now, before] = [readIn(trial, 'adjacentDbc'), readIn(from, 'adjacentDbc')]
  if (!now || !before) return null
  const [a, b] = [expandedUncertainty(now), expandedUncertainty(before)]
  const isTold = now.bound !== 'at-most' && before.bound !== 'at-least' && a !== null && b !== null
  return { before, now, haveRisen: isTold && now.value - before.value > Math.hypot(a, b) }
}
