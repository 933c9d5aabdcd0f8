import type { TestMade } from '../diagnose'
import type { ItemInspected, JobEvent } from '../run'
import type { ModelSheet } from '../sheet'
import { idleOutcome, lastPower } from './firstPower'
import { LIMITER_ITEM } from './inspectionItems'

/**
 * What an item of the inspection answers, when it was found in order and when a defect was seen: it is not
 * asked again.
 */
const ANSWERED_BY: Readonly<
  Record<string, { readonly observableId: string; readonly fine: string; readonly seen: string }>
> = {
  [LIMITER_ITEM]: { observableId: 'limiter-parts', fine: 'there', seen: 'missing' },
  I36: { observableId: 'driver-resistors', fine: 'fine', seen: 'burnt' },
  I39: { observableId: 'trimmer', fine: 'reaches', seen: 'missing' },
  I40: { observableId: 'trace', fine: 'whole', seen: 'burnt' },
}
/** A trimmer that is there has not been turned yet: only its absence answers. */
const ANSWERS_BY_DEFECT_ONLY: readonly string[] = ['I39']

/** Answers by hand, in order; first power and the inspection answer what they have seen. */
export function testsMade(sheet: ModelSheet, events: readonly JobEvent[]): TestMade[] {
  const power = lastPower(events)
  const idle = power && idleOutcome(sheet, power)
  return [
    ...(idle ? [{ observableId: 'idle', outcome: idle }] : []),
    ...seenOnInspection(events),
    ...events.flatMap(e =>
      e.kind === 'test-made' ? [{ observableId: e.observableId, outcome: e.outcome }] : [],
    ),
  ]
}

/** A defect that was put right since answers nothing about the set as it was read. */
function seenOnInspection(events: readonly JobEvent[]): TestMade[] {
  const last = new Map(events.flatMap(e => (e.kind === 'item-inspected' ? [[e.itemId, e] as const] : [])))
  return [...last.values()].flatMap((item: ItemInspected) => {
    const answer = ANSWERED_BY[item.itemId]
    if (!answer || (item.state !== 'seen' && item.state !== 'fine')) return []
    if (item.state === 'fine' && ANSWERS_BY_DEFECT_ONLY.includes(item.itemId)) return []
    return [{ observableId: answer.observableId, outcome: item.state === 'seen' ? answer.seen : answer.fine }]
  })
}
