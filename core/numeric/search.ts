/** Halvings that take an interval to a part in 1e15 of itself. */
const HALVINGS = 50
const GOLDEN = (Math.sqrt(5) - 1) / 2
/** Sections that take an interval to a millionth of itself. */
const SECTIONS = 30

/**
 * Where a condition ceases to hold, by bisection.
 *
 * @param holds True from `low` up to one place, false beyond
 * @returns That place; an end of the interval when it holds nowhere or everywhere
 */
export function boundaryOf(low: number, high: number, holds: (x: number) => boolean): number {
  let [from, to] = [low, high]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (from + to) / 2
    if (holds(middle)) from = middle
    else to = middle
  }
  return (from + to) / 2
}

/**
 * Smallest value of a function that falls and then rises, by golden section.
 *
 * @returns Where it is, to a millionth of the interval
 */
export function minimumOf(low: number, high: number, of: (x: number) => number): number {
  let [from, to] = [low, high]
  for (let i = 0; i < SECTIONS; i++) {
    const a = to - GOLDEN * (to - from)
    const b = from + GOLDEN * (to - from)
    if (of(a) < of(b)) to = b
    else from = a
  }
  return (from + to) / 2
}
