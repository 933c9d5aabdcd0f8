import type { SetState } from './modelSheet'

/** What a point asks of the set, as it is kept with the row that is taken there. */
export type OperatingPoint = Omit<SetState, 'keyed' | 'also'>

export function operatingPoint(state: SetState): OperatingPoint {
  const { keyed: _keyed, also: _also, ...asked } = state
  return asked
}

export function sameConditions(a: OperatingPoint, b: OperatingPoint): boolean {
  return (Object.keys({ ...a, ...b }) as (keyof OperatingPoint)[]).every(k => a[k] === b[k])
}
