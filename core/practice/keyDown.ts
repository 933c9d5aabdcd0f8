import { USUAL_KEY_DOWN_S, type ModelSheet } from '../sheet'
import type { Logged } from './session'

export interface KeyDown {
  readonly totalS: number
  readonly longestS: number
  readonly limitS: number
  readonly timesOver: number
}

/** How long it was keyed, in all and at a stretch, against the longest that the sheet allows. */
export function keyDownOf(log: readonly Logged[], sheet: ModelSheet, endS: number): KeyDown {
  const limits = sheet.procedure.flatMap(s => (s.keyDownLimitS === null ? [] : [s.keyDownLimitS]))
  const limitS = limits.length > 0 ? Math.max(...limits) : USUAL_KEY_DOWN_S
  const stretches: number[] = []
  let sinceS: number | null = null
  for (const { atS, action } of [
    ...log,
    { atS: endS, action: { kind: 'control' as const, controls: { keyed: false } } },
  ]) {
    if (
      action.kind !== 'control' ||
      (action.controls.keyed === undefined && action.controls.powerOn !== false)
    )
      continue
    const keyed = action.controls.keyed === true && action.controls.powerOn !== false
    if (keyed) sinceS ??= atS
    else if (sinceS !== null) {
      stretches.push(atS - sinceS)
      sinceS = null
    }
  }
  return {
    totalS: stretches.reduce((a, b) => a + b, 0),
    longestS: Math.max(0, ...stretches),
    limitS,
    timesOver: stretches.filter(s => s > limitS).length,
  }
}
