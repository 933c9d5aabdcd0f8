import type { JobEvent } from '../run'
import type { ModelSheet } from '../sheet'
import { biasBeforeKey } from './afterFinal'
import { lastPower, partsOut, powerVerdict } from './firstPower'

/** What must be in sight on every page of a job before anybody keys or switches on. */
export type Warning = 'bias-before-key' | 'parts-out' | 'stays-off'

/** @returns the warnings in force, the gravest first */
export function warnings(sheet: ModelSheet, events: readonly JobEvent[]): Warning[] {
  const power = lastPower(events)
  const isStopped = power !== null && powerVerdict(sheet, power) === 'stop'
  return [
    ...(isStopped ? ['stays-off' as const] : []),
    ...(power && !isStopped && partsOut(power).length > 0 ? ['parts-out' as const] : []),
    ...(biasBeforeKey(sheet, events) ? ['bias-before-key' as const] : []),
  ]
}
