import type { PartGroup, RigParts } from '../rigParts'
import type { RigState } from '../rigState'

/** Something that is wrong with a simulated set, as it came in. */
export interface RigFault {
  /** row of the table of faults and symptoms */
  readonly id: string
  readonly designIds: readonly string[]
  /** what it was, for the review afterwards */
  readonly name: string
  /** 1 shows at the first reading, 3 hides behind something that looks right */
  readonly difficulty: 1 | 2 | 3
  readonly apply: (state: RigState) => RigState
  /** whether the set is rid of it */
  readonly cured: (state: RigState) => boolean
  /** causes of the diagnosis that name it */
  readonly causeIds: readonly string[]
  /** readings or places that show it, in words */
  readonly shows: string
}

/** Changes parameters of one group of parts; the only thing a fault may do beside moving an adjuster. */
export function worse<G extends PartGroup>(
  state: RigState,
  group: G,
  change: Partial<NonNullable<RigParts[G]>>,
): RigState {
  return { ...state, parts: { ...state.parts, [group]: { ...(state.parts[group] as object), ...change } } }
}

/** An adjuster left somewhere. */
export function left(state: RigState, designator: string, position: number): RigState {
  const slug = state.slugs[designator]
  return slug
    ? { ...state, slugs: { ...state.slugs, [designator]: { ...slug, turns: position } } }
    : { ...state, positions: { ...state.positions, [designator]: position } }
}

export function withCore(
  state: RigState,
  designator: string,
  change: { waxed?: boolean; broken?: boolean; turns?: number },
): RigState {
  return { ...state, slugs: { ...state.slugs, [designator]: { ...state.slugs[designator]!, ...change } } }
}
