import type { TestMade } from '../diagnose'
import type { JobEvent } from '../run'
import type { ModelSheet } from '../sheet'
import { idleOutcome, lastPower } from './firstPower'

/** Answers by hand, in order; first power answers the question about the idle current. */
export function testsMade(sheet: ModelSheet, events: readonly JobEvent[]): TestMade[] {
  const power = lastPower(events)
  return [
    ...(power ? [{ observableId: 'idle', outcome: idleOutcome(sheet, power) }] : []),
    ...events.flatMap(e => e.kind === 'test-made' ? [{ observableId: e.observableId, outcome: e.outcome }] : []),
  ]
}
