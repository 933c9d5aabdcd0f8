import type { Quantity } from '../../quantity'
import type { CellState, RowState } from '../../run'
import { isFullPower, isLeastPower, isUnmodulated, type MeasurePoint, type SetState } from '../../sheet'
import type { Observation, ReadingUsed } from './observable'
import { soften, type Uncertain } from './soft'

/** A reading of the matrix with the state of the set it was taken in. */
export interface Found {
  readonly point: MeasurePoint
  readonly state: SetState
  readonly cell: CellState
  readonly value: number
  readonly standardUncertainty: number | null
  readonly used: ReadingUsed
}

/** Readings of a quantity in rows of a state, in the order of the channels. */
export function found(
  rows: readonly RowState[],
  quantity: Quantity,
  inState: (state: SetState) => boolean,
): Found[] {
  return rows
    .filter(row => inState(row.point.state))
    .flatMap(row =>
      row.cells.flatMap(cell => {
        if (cell.want.quantity !== quantity || !cell.latest) return []
        const { value, standardUncertainty } = cell.latest.reading
        return [
          {
            point: row.point,
            state: row.point.state,
            cell,
            value,
            standardUncertainty,
            used: {
              rowTitle: row.point.title,
              quantity,
              value,
              standardUncertainty,
              nominalHz: cell.requirement.nominalHz,
            },
          },
        ]
      }),
    )
    .sort((a, b) => (a.state.channel ?? 0) - (b.state.channel ?? 0))
}

/** Keyed on high power, nothing modulates it: what the carrier is measured in. */
export const isCarrier = (s: SetState) => s.keyed && isFullPower(s) && isUnmodulated(s)
export const isLowPower = (s: SetState) => s.keyed && isLeastPower(s) && isUnmodulated(s)
export const isTone = (s: SetState) => s.keyed && s.toneHz !== null && s.toneHz < 2000

/** A cell's window when it is open on neither side: what a power is held against. */
export function windowOf(f: Found): { low: number; high: number } | null {
  const { low, high } = f.cell.requirement.window ?? {}
  return low != null && high != null ? { low, high } : null
}

export function middle<T>(list: readonly T[]): T | null {
  return list[Math.floor((list.length - 1) / 2)] ?? null
}

/** The most that a cell asks for: top of the window, else the limit. */
export function rated(f: Found): number | null {
  return f.cell.requirement.window?.high ?? f.cell.requirement.limit?.high ?? null
}

/** An observation over some readings; `as` may change what their uncertainty means for it. */
export function seen(
  readings: readonly Found[],
  classify: (values: readonly number[]) => string,
  as: (f: Found) => Uncertain = f => f,
): Observation {
  return { soft: soften(readings.map(as), classify), used: readings.map(f => f.used) }
}
