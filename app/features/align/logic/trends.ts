import type { Quantity } from '#core/quantity'
import type { WatchedSample } from '#core/run'

/** A live reading with what it was taken under. */
export type TrendPoint = WatchedSample

/** Readings of the last half minute as they came, and of the last hour thinned out, for drift. */
export interface Trends {
  readonly recent: Map<Quantity, TrendPoint[]>
  readonly long: Map<Quantity, TrendPoint[]>
}

/** What the trend shows [ms]. */
const RECENT_MS = 30_000
const LONG_MS = 3_600_000
const LONG_STEP_MS = 2000
const OF_DRIFT: readonly Quantity[] = ['carrierHz', 'referenceHz']

export const newTrends = (): Trends => ({ recent: new Map(), long: new Map() })

/** Takes in one reading; both lists keep their order and forget what is too old. */
export function withReading({ recent, long }: Trends, quantity: Quantity, point: TrendPoint): void {
  push(recent, quantity, point, RECENT_MS)
  const last = long.get(quantity)?.at(-1)
  const isNew = !last || last.stretch !== point.stretch || point.atMs - last.atMs >= LONG_STEP_MS
  if (OF_DRIFT.includes(quantity) && isNew) push(long, quantity, point, LONG_MS)
}

/** The readings of the last half minute since anything changed: what lies before belongs to another curve. */
export function sinceChange(points: readonly TrendPoint[]): readonly TrendPoint[] {
  const now = points.at(-1)?.stretch
  const changed = points.findLastIndex(p => p.stretch !== now)
  return points.slice(changed + 1)
}

function push(lists: Map<Quantity, TrendPoint[]>, quantity: Quantity, point: TrendPoint, keepMs: number) {
  const list = lists.get(quantity) ?? []
  list.push(point)
  while (list[0] && list[0].atMs < point.atMs - keepMs) list.shift()
  lists.set(quantity, list)
}
