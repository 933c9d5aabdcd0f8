import { validEvents, type ItemInspected, type JobEvent, type RowState } from '../run'
import type { ModelSheet } from '../sheet'
import { inspectionItems, type InspectionItem } from './inspectionItems'
import { NEXT_VISIT, conditionOf, isTrue } from './reminderConditions'

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

/** A conditional reminder and whether its condition holds now. */
export interface Reminder {
  readonly id: string
  readonly text: string
  readonly conditionWords: string
  readonly due: boolean
}

/** What is planned for a later visit of the set, in the order in which it was written. */
export function plannedWork(events: readonly JobEvent[]): string[] {
  return validEvents(events).flatMap(e =>
    e.kind === 'reminder-set' && e.condition === NEXT_VISIT ? [e.text] : [],
  )
}

/**
 * "If the adjacent channels are not clean, dress the spread coils": due as soon as a reading makes it true.
 * @param asFound and as left: the later phase speaks where it has a reading
 */
export function reminders(
  events: readonly JobEvent[],
  asFound: readonly RowState[],
  asLeft: readonly RowState[],
): Reminder[] {
  return events.flatMap(e =>
    e.kind === 'reminder-set'
      ? [
          {
            id: e.id,
            text: e.text,
            conditionWords: conditionOf(e.condition).words,
            due: isTrue(conditionOf(e.condition), asFound, asLeft),
          },
        ]
      : [],
  )
}
