import type { ItemInspected, JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { firstPowerPlan, inspectionItems } from '#core/work'

export type NewEvent = JobEvent extends infer E ? (E extends JobEvent ? Omit<E, 'id'> : never) : never

/**
 * First power without trouble and a whole checklist; what is not remarked on is fine (invented for the demo).
 */
export function lookedAt(
  sheet: ModelSheet,
  atMs: number,
  remarks: Readonly<Record<string, readonly [ItemInspected['state'], string]>>,
): NewEvent[] {
  return [
    {
      kind: 'power-tried',
      atMs,
      limitA: firstPowerPlan(sheet).limitA,
      idleA: 0.31,
      seen: 'normal',
      text: '',
    },
    ...inspectionItems(sheet).map((item, i): NewEvent => {
      const [state, text] = remarks[item.id] ?? ['fine', '']
      return { kind: 'item-inspected', atMs: atMs + (i + 1) * 20_000, itemId: item.id, state, text }
    }),
  ]
}
