import type { JobEvent } from '../run'
import type { ModelSheet } from '../sheet'
import { biasBeforeKey } from './afterFinal'
import { lastPower, powerVerdict } from './firstPower'

/** What must be in sight on every page of a job before anybody keys or switches on. */
export type Warning = 'bias-before-key' | 'stays-off'

/** @returns the warnings in force, the gravest first */
export function warnings(sheet: ModelSheet, events: readonly JobEvent[]): Warning[] {
  const power = lastPower(events)
  return [
    ...(power && powerVerdict(sheet, power) === 'stop' ? ['stays-off' as const] : []),
    ...(biasBeforeKey(sheet, events) ? ['bias-before-key' as const] : []),
  ]
}
