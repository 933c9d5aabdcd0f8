import { validEvents, type ComparedCell, type ItemInspected, type JobEvent } from '../run'
import type { ModelSheet } from '../sheet'
import { inspectionItems, type InspectionItem } from './inspectionItems'
import { NEXT_VISIT, conditionOf, madeTrueBy, type MadeTrueBy } from './reminderConditions'

export interface InspectedItem {
  readonly item: InspectionItem
  readonly last: ItemInspected | null
}

/** Every item of the checklist with what was last said of it. */
export function inspection(sheet: ModelSheet, events: readonly JobEvent[]): InspectedItem[] {
  return inspectionItems(sheet).map(item => ({
    item,
    last:
      (events.findLast(e => e.kind === 'item-inspected' && e.itemId === item.id) as
        ItemInspected | undefined) ?? null,
  }))
}

/** A conditional reminder and what makes its condition hold now. */
export interface Reminder {
  readonly id: string
  readonly text: string
  readonly conditionWords: string
  /** null = nothing that was read */
  readonly because: MadeTrueBy | null
}

/** What is planned for a later visit of the set, in the order in which it was written. */
export function plannedWork(events: readonly JobEvent[]): string[] {
  return validEvents(events).flatMap(e =>
    e.kind === 'reminder-set' && e.condition === NEXT_VISIT ? [e.text] : [],
  )
}

/**
 * "If the adjacent channels are not clean, dress the spread coils": due as soon as a reading makes it true.
 * @param compared as found beside as left
 */
export function reminders(events: readonly JobEvent[], compared: readonly ComparedCell[]): Reminder[] {
  return events.flatMap(e =>
    e.kind === 'reminder-set'
      ? [
          {
            id: e.id,
            text: e.text,
            conditionWords: conditionOf(e.condition).words,
            because: madeTrueBy(conditionOf(e.condition), compared),
          },
        ]
      : [],
  )
}
