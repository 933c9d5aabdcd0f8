import { coupledPair, tunedHz, tunedStage } from '../../circuit'
import type { RigState } from '../rigState'

/** Power response [ratio] of a row of stages at a frequency, coupled ones together. */
export function rowResponse(state: RigState, designators: readonly string[], frequencyHz: number): number {
  return designators.reduce(
    (ratio, designator) => ratio * stageResponse(state, designator, designators, frequencyHz),
    1,
  )
}

/** One stage of a row; a coupled pair counts at its secondary. */
export function stageResponse(
  state: RigState,
  designator: string,
  row: readonly string[],
  frequencyHz: number,
): number {
  const stage = state.parts.stages[designator]
  const slug = state.slugs[designator]
  if (!stage || !slug) return 1
  const pair = state.parts.pairs.find(
    p =>
      row.includes(p.primary) &&
      row.includes(p.secondary) &&
      (p.primary === designator || p.secondary === designator),
  )
  if (!pair) return tunedStage.respond(stage, { turns: slug.turns, broken: slug.broken, frequencyHz }, null)
  if (pair.primary === designator) return 1
  const tuning = (d: string) => tunedHz(state.parts.stages[d]!, state.slugs[d]!.turns, state.slugs[d]!.broken)
  return coupledPair.respond(
    pair,
    { primaryHz: tuning(pair.primary), secondaryHz: tuning(pair.secondary), frequencyHz },
    null,
  )
}
