import type { Quantity } from '../../quantity'
import type { History } from '../history'
import { proposeCode, type MenuGoal, type MenuProposal, type MenuReading } from './menuCurve'
import { pchip } from '../../numeric/pchip'

/** Readings of a row that carry the menu value they were taken with. */
export function menuReadings(
  past: History,
  stepId: string,
  pointId: string,
  quantity: Quantity,
): MenuReading[] {
  const rows = past.readings.filter(
    t => t.struck === null && t.row.stepId === stepId && t.row.pointId === pointId,
  )
  return rows
    .filter(t => t.reading.quantity === quantity)
    .flatMap(t => {
      const code = rows.find(o => o.row.id === t.row.id && o.reading.quantity === 'menuCode')
      return code ? [{ code: code.reading.value, value: t.reading.value }] : []
    })
}

export interface MenuState {
  readonly readings: readonly MenuReading[]
  readonly proposal: MenuProposal | null
  /** what the curve expects at the value that is typed; null = it does not say */
  readonly expected: number | null
  /** the value that is typed would pass the limit, as far as the curve says */
  readonly tooHigh: boolean
}

/** @param typed value that somebody is about to write, or null */
export function menuState(readings: readonly MenuReading[], goal: MenuGoal, typed: number | null): MenuState {
  const expected = typed === null ? null : expectedAt(readings, typed)
  return {
    readings,
    proposal: proposeCode(readings, goal),
    expected,
    tooHigh: expected !== null && expected * (1 + goal.boundRatio) > goal.limit,
  }
}

/** Between readings the monotone curve; past them a line through the roots of the last two. */
function expectedAt(readings: readonly MenuReading[], code: number): number | null {
  const codes = [...new Set(readings.map(r => r.code))].sort((a, b) => a - b)
  const mean = (c: number) =>
    readings.filter(r => r.code === c).reduce((s, r, _i, all) => s + r.value / all.length, 0)
  if (codes.includes(code)) return mean(code)
  if (codes.length < 2) return null
  const [low, high] = [codes[0]!, codes.at(-1)!]
  if (code > low && code < high) return pchip(codes, codes.map(mean), code)
  const [a, b] = code > high ? [codes.at(-2)!, high] : [low, codes[1]!]
  const root =
    Math.sqrt(Math.max(0, mean(a))) +
    ((Math.sqrt(Math.max(0, mean(b))) - Math.sqrt(Math.max(0, mean(a)))) * (code - a)) / (b - a)
  return Math.max(0, root) ** 2
}
