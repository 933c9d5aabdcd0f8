import type { RowState } from '../../run'
import type { ModelSheet, SetState } from '../../sheet'
import type { Observable } from './observable'

/**
 * Rows that an observation may look at. A set with several modes, bands, states and control positions is
 * judged by its main ones; an observation that names its modes sees theirs, one that asks everywhere sees
 * all.
 */
export function rowsFor(
  observable: Pick<Observable, 'modes' | 'everywhere'>,
  rows: readonly RowState[],
  sheet: ModelSheet,
): RowState[] {
  if (observable.everywhere) return [...rows]
  const { mode, fromChannel, toChannel, setting } = sheet.main
  const inPlace = rows.filter(
    ({ point: { state: s } }) =>
      // Between the ends of its power control a set shows what neither end does.
      !s.powerPosition &&
      s.coverage === 'standard' &&
      (s.channel === null || (s.channel >= fromChannel && s.channel <= toChannel)),
  )
  if (observable.modes) return inPlace.filter(({ point }) => observable.modes!.includes(point.state.mode))
  const inMain = (s: SetState) => s.mode === mode && (!s.keyed || s.toneHz !== null || s.setting === setting)
  const receivesInMain = inPlace.some(
    ({ point }) => !point.state.keyed && point.state.mode === mode && point.state.channel !== null,
  )
  return inPlace.filter(({ point: { state: s } }) => inMain(s) || (!s.keyed && !receivesInMain))
}
