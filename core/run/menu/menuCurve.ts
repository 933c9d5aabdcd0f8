import { pchip } from '../../numeric/pchip'

/** A menu value and what was read with it. */
export interface MenuReading {
  readonly code: number
  readonly value: number
}

export interface MenuGoal {
  /** the value must be shown below this [SI], its uncertainty counted */
  readonly limit: number
  /** bound of the instrument [ratio of reading] */
  readonly boundRatio: number
  /** no value, or true = the bound is that of the meter, not one that is taken for granted */
  readonly isBoundKnown?: boolean
  /** the value need not be above this [SI]; null or none = as high as the limit lets it */
  readonly least?: number | null
  /** the menu runs from here (0) to there */
  readonly minCode?: number
  readonly maxCode: number
}

/**
 * higher or lower = nothing is known of the curve yet, a careful step; within = between two readings; beyond
 * = a little past the last reading; end = the menu has nothing further that way; there = it is set.
 */
export interface MenuProposal {
  readonly code: number
  readonly expected: number | null
  readonly why: 'higher' | 'lower' | 'within' | 'beyond' | 'end' | 'there'
}

/** One careful step when the curve is not known: about half a watt near 4 W at 0.12 W a step. */
const FIRST_STEP = 4
/** Past the readings at most this many times the span that has been seen. */
const MAX_BEYOND = 1.5

/**
 * The largest code whose value, with the instrument's bound, stays below the limit.
 *
 * Between readings the curve is a monotone cubic; past them a line through the roots of the last two (power
 * goes with the square of the code), and never so far that its expectation would pass the limit.
 * @param readings oldest first, the last one is what stands now; the same code read twice counts by its mean
 * Source: C46.
 * @example readings 5Eh 3.02, 66h 3.94, 6Eh 5.00 W, limit 4.00 W at 2 %: 65h, expected 3.818 W
 */
export function proposeCode(readings: readonly MenuReading[], goal: MenuGoal): MenuProposal | null {
  const points = merged(readings)
  const fits = (value: number) => value * (1 + goal.boundRatio) <= goal.limit
  const lowest = points[0]
  const highest = points.at(-1)
  if (!lowest || !highest) return null
  const now = readings.at(-1)!
  // Inside with its uncertainty is there: another step only risks the limit.
  if (goal.least != null && now.value >= goal.least && fits(now.value))
    return { code: now.code, expected: now.value, why: 'there' }
  const least = Math.min(...points.map(p => p.value))
  if (points.length === 1 && fits(highest.value) && highest.code >= goal.maxCode)
    return { code: goal.maxCode, expected: highest.value, why: 'end' }
  if (points.length === 1) {
    const up = fits(highest.value)
    return {
      code: Math.max(
        goal.minCode ?? 0,
        Math.min(goal.maxCode, highest.code + (up ? FIRST_STEP : -FIRST_STEP)),
      ),
      expected: null,
      why: up ? 'higher' : 'lower',
    }
  }
  if (!fits(least)) return below(points, goal, fits)
  if (fits(highest.value)) return above(points, goal, fits)
  return inside(points, fits)
}

function merged(readings: readonly MenuReading[]): MenuReading[] {
  const codes = [...new Set(readings.map(r => r.code))].sort((a, b) => a - b)
  return codes.map(code => {
    const same = readings.filter(r => r.code === code)
    return { code, value: same.reduce((s, r) => s + r.value, 0) / same.length }
  })
}

function inside(points: readonly MenuReading[], fits: (v: number) => boolean): MenuProposal {
  const xs = points.map(p => p.code)
  const ys = points.map(p => p.value)
  for (let code = xs.at(-1)!; code >= xs[0]!; code--) {
    const expected = pchip(xs, ys, code)
    if (fits(expected)) return { code, expected, why: xs.includes(code) ? 'there' : 'within' }
  }
  return { code: xs[0]!, expected: ys[0]!, why: 'there' }
}

function above(points: readonly MenuReading[], goal: MenuGoal, fits: (v: number) => boolean): MenuProposal {
  const last = points.at(-1)!
  if (last.code >= goal.maxCode) return { code: goal.maxCode, expected: last.value, why: 'end' }
  const law = rootLaw(points.at(-2)!, last)
  const most = Math.min(
    goal.maxCode,
    last.code + Math.max(FIRST_STEP, Math.round(MAX_BEYOND * (last.code - points[0]!.code))),
  )
  for (let code = most; code > last.code; code--)
    if (fits(law(code))) return { code, expected: law(code), why: 'beyond' }
  return { code: last.code, expected: last.value, why: 'there' }
}

function below(
  points: readonly MenuReading[],
  { minCode = 0 }: MenuGoal,
  fits: (v: number) => boolean,
): MenuProposal {
  const first = points[0]!
  if (first.code <= minCode) return { code: minCode, expected: first.value, why: 'end' }
  const law = rootLaw(first, points[1]!)
  const least = Math.max(
    minCode,
    first.code - Math.max(FIRST_STEP, Math.round(MAX_BEYOND * (points.at(-1)!.code - first.code))),
  )
  for (let code = first.code - 1; code >= least; code--)
    if (fits(law(code))) return { code, expected: law(code), why: 'beyond' }
  // Still above, as far as the curve says: a step down, not a value that is called right.
  return { code: least, expected: null, why: 'lower' }
}

/** A line in the root of the value through two readings. */
function rootLaw(a: MenuReading, b: MenuReading): (code: number) => number {
  const [ra, rb] = [Math.sqrt(Math.max(0, a.value)), Math.sqrt(Math.max(0, b.value))]
  return code => Math.max(0, ra + ((rb - ra) * (code - a.code)) / (b.code - a.code)) ** 2
}
