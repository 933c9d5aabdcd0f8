import type { MenuFormat, Quantity } from '../quantity'
import type { Mode } from '../rules'
import type { MeasurePoint, SetState, TargetSpec, Measurand } from './modelSheet'

/** Short ways to write the rows of a sheet. */

/** States of a set in one mode: keyed on dummy load, and receiving; the rest as given. */
export function statesIn(mode: Mode) {
  const quiet: SetState = {
    mode,
    channel: null,
    keyed: false,
    lowPower: false,
    toneHz: null,
    toneV: null,
    inputV: null,
    coverage: 'standard',
    setting: '',
    also: null,
  }
  return {
    keyed: (channel: number | null, rest: Partial<SetState> = {}): SetState => ({
      ...quiet,
      channel,
      keyed: true,
      ...rest,
    }),
    receiving: (
      channel: number | null,
      also: string | null = null,
      rest: Partial<SetState> = {},
    ): SetState => ({ ...quiet, channel, also, ...rest }),
  }
}

export function want(quantity: Quantity, target: TargetSpec | null = null, judgeLimit = true): Measurand {
  return { quantity, target, judgeLimit }
}

/** A value of the menu, as this set writes it. */
export function wantMenu(menu: MenuFormat): Measurand {
  return { ...want('menuCode'), menu }
}

export function point(id: string, title: string, state: SetState, wants: readonly Measurand[]): MeasurePoint {
  return { id, title, state, wants }
}

/** What the meters show while the owner's microphone is spoken into: a cross-check that nobody owes. */
export const speechRow = (id: string, title: string, state: SetState): MeasurePoint => ({
  ...point(id, title, { ...state, audio: 'speech', also: 'the owner\u2019s own microphone' }, [
    want('powerW', null, false),
    want('pepW', null, false),
  ]),
  isOptional: true,
})

/** A workshop window [SI]. */
export function within(low: number | null, high: number | null, aim: number | null = null): TargetSpec {
  return { kind: 'window', window: { low, high, aim } }
}
