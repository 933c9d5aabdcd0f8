import type { SetState } from './modelSheet'

/** What a point asks of the set, as it is kept with the row that is taken there. */
export type ConditionsAsked = Omit<SetState, 'keyed' | 'also'>

export function conditionsAsked(state: SetState): ConditionsAsked {
  const { keyed: _keyed, also: _also, ...asked } = state
  return asked
}

export function sameConditions(a: ConditionsAsked, b: ConditionsAsked): boolean {
  return (Object.keys(a) as (keyof ConditionsAsked)[]).every(k => a[k] === b[k])
}
