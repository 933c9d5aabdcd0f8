import { powerRatioToDb, spreadDb } from '../quantity'
import type { Step } from '../sheet'
import { PEAKED, peakLevel } from './peaking'
import type { History } from './history'
import type { MeasurandState } from './measurandState'

/** How a step's common condition stands; met null = not enough readings yet. */
export interface CriterionState {
  readonly kind: 'spread' | 'peak'
  /** spread over the points, or gain of the last pass [dB] */
  readonly valueDb: number | null
  readonly limitDb: number
  readonly met: boolean | null
  readonly passes: number
}

/** @returns null when the step has no common condition */
export function criterionState(
  step: Step,
  wants: readonly MeasurandState[],
  past: History,
): CriterionState | null {
  if (!step.criterion) return null
  return step.criterion.kind === 'spread'
    ? spreadState(
        wants.filter(w => w.want.quantity === step.criterion!.quantity),
        step.criterion.maxDb,
      )
    : peakState(passLevels(step, past), step.criterion.gainDb)
}

function spreadState(wants: readonly MeasurandState[], limitDb: number): CriterionState {
  const powersW = wants.flatMap(w => (w.latest ? [w.latest.reading.value] : []))
  const valueDb = powersW.length > 0 ? spreadDb(powersW) : null
  const complete = powersW.length === wants.length
  return {
    kind: 'spread',
    valueDb,
    limitDb,
    met: complete && valueDb !== null ? valueDb <= limitDb : null,
    passes: powersW.length,
  }
}

/** Each pass as a level that is larger when it is better, whatever it is peaked on. */
function passLevels(step: Step, past: History): number[] {
  const { quantity } = step.criterion!
  const seek = step.criterion?.kind === 'peak' ? (step.criterion.seek ?? 'largest') : 'largest'
  const peaked = PEAKED.find(p => p.quantity === quantity) ?? {
    quantity,
    scale: 'power' as const,
    seek,
    receiver: false,
  }
  return past.readings
    .filter(t => t.struck === null && t.row.stepId === step.id && t.reading.quantity === quantity)
    .map(t => (t.reading.value <= 0 ? 0 : peakLevel({ ...peaked, seek }, t.reading.value)))
}

/** What a reading scatters by when nothing was turned [dB] (common practice: half a per cent). */
const SAME_DB = 0.025

/**
 * Peaking is over when the last pass gained less than the limit and lost nothing: neither against the pass
 * before nor against the best of all. The first reading is where the passes start from.
 */
function peakState(levels: readonly number[], limitDb: number): CriterionState {
  const [before, last] = levels.slice(-2)
  const passes = Math.max(0, levels.length - 1)
  if (before === undefined || last === undefined)
    return { kind: 'peak', valueDb: null, limitDb, met: null, passes }
  if (before <= 0 || last <= 0)
    return { kind: 'peak', valueDb: last > 0 ? Infinity : null, limitDb, met: false, passes }
  const valueDb = powerRatioToDb(last / before)
  const belowBestDb = powerRatioToDb(Math.max(...levels) / last)
  return { kind: 'peak', valueDb, limitDb, met: valueDb < limitDb && belowBestDb <= SAME_DB, passes }
}
