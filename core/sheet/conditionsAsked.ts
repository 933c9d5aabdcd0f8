import type { SetState } from './modelSheet'

/** What a point asks of the set, as it is kept with the row that is taken there. */
export type ConditionsAsked = Omit<SetState, 'keyed' | 'also'>

export function conditionsAsked(state: SetState): ConditionsAsked {
  const { keyed: _keyed, also: _also, ...asked } = state
  return asked
}
