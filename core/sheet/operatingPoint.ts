import { modulationOf } from './audio'
import type { SetState } from './modelSheet'

/** What a point asks of the set, as it is kept with the row that is taken there. */
export type OperatingPoint = Omit<SetState, 'keyed' | 'also'>

export function operatingPoint(state: SetState): OperatingPoint {
  const { keyed: _keyed, also: _also, ...asked } = state
  return asked
}

export function sameConditions(a: OperatingPoint, b: OperatingPoint): boolean {
  const { audio: _a, ...ofA } = a
  const { audio: _b, ...ofB } = b
  const keys = Object.keys({ ...ofA, ...ofB }) as (keyof typeof ofA)[]
  return modulationOf(a) === modulationOf(b) && keys.every(k => ofA[k] === ofB[k])
}
