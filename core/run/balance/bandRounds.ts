import { channelHz, planOf } from '../../rules'
import { powerRatioToDb } from '../../quantity'
import type { ModelSheet, Step } from '../../sheet'
import type { History } from '../history'
import type { BandPass } from './lineUp'

/**
 * The rounds of a step that measures low, middle and high channel: each the first complete set of readings
 * since the last.
 */
export interface BandRounds {
  readonly passes: readonly BandPass[]
  /** half the band about its middle [ratio] */
  readonly halfBand: number
}

/** @returns null when the step is no such step (three rows of one quantity, on rising channels) */
export function bandRounds(sheet: ModelSheet, step: Step, past: History): BandRounds | null {
  if (
    step.criterion?.kind !== 'spread' ||
    step.points.length !== 3 ||
    step.points.some(p => p.state.channel === null)
  )
    return null
  const hz = step.points.map(p => channelHz(planOf(sheet), p.state.channel!))
  const [low, middle, high] = hz as [number, number, number]
  if (!(low < middle && middle < high)) return null
  const { quantity } = step.criterion
  const passes: BandPass[] = []
  let round = new Map<string, number>()
  let roundFrom = -Infinity
  for (const t of past.readings) {
    if (t.struck !== null || t.row.stepId !== step.id || t.reading.quantity !== quantity) continue
    // What was read before a coil was turned belongs to no round with what comes after.
    if (
      past.turns.some(
        turn => turn.order > roundFrom && turn.order < t.order && step.adjusters.includes(turn.designator),
      )
    )
      round = new Map()
    roundFrom = t.order
    // A row taken again before the others were is a better reading of the same round.
    round.set(t.row.pointId, t.reading.value)
    if (round.size < 3) continue
    const [l, m, h] = step.points.map(p => round.get(p.id)!) as [number, number, number]
    if (l > 0 && m > 0 && h > 0) passes.push({ lowDb: powerRatioToDb(l / m), highDb: powerRatioToDb(h / m) })
    round = new Map()
  }
  return { passes, halfBand: (high - low) / 2 / middle }
}
