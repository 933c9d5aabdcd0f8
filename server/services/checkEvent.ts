import { causeOf, observableOf } from '#core/diagnose'
import { CoreError } from '#core/errors'
import { channelHz, planOf } from '#core/rules'
import type { JobEvent } from '#core/run'
import { adjusterOf, amended, fieldValue, pointOf, stepOf, type ModelSheet } from '#core/sheet'
import { conditionOf, inspectionItems } from '#core/work'

/**
 * Refuses an event that names what the sheet or the catalogues do not have.
 * @throws {CoreError} unknown-...
 */
export function checkEvent(sheet: ModelSheet, event: JobEvent): void {
  if ('stepId' in event && event.stepId !== null) stepOf(sheet, event.stepId)
  switch (event.kind) {
    case 'turn-answered':
    case 'adjuster-turned':
      return event.designators.forEach(d => adjusterOf(sheet, d))
    case 'sheet-amended':
      return void amended(sheet, event.changes)
    case 'line-confirmed':
      return void fieldValue(sheet, event.line)
    case 'position-noted':
      return void adjusterOf(sheet, event.designator)
    case 'settings-noted':
      return checkChannel(sheet, event.channel)
    case 'row-taken':
      return checkRow(sheet, event)
    case 'item-inspected':
      return checkItem(sheet, event.itemId)
    case 'reminder-set':
      return void conditionOf(event.condition)
    case 'cause-confirmed':
      return void causeOf(event.causeId)
    case 'test-made':
      return checkOutcome(event.observableId, event.outcome)
  }
}

function checkChannel(sheet: ModelSheet, channel: number | null): void {
  if (channel !== null) channelHz(planOf(sheet), channel)
}

function checkRow(sheet: ModelSheet, event: Extract<JobEvent, { kind: 'row-taken' }>): void {
  const wanted = pointOf(sheet, event.stepId, event.pointId).wants.map(w => w.quantity)
  const stray = event.readings.find(r => !wanted.includes(r.quantity))
  if (stray)
    throw new CoreError('unknown-quantity', `"${stray.quantity}" is not measured in row "${event.pointId}"`)
}

function checkItem(sheet: ModelSheet, itemId: string): void {
  if (!inspectionItems(sheet).some(i => i.id === itemId))
    throw new CoreError('unknown-item', `"${itemId}" is not on the inspection list of ${sheet.model}`)
}

function checkOutcome(observableId: string, outcome: string): void {
  if (!Object.hasOwn(observableOf(observableId).outcomes, outcome))
    throw new CoreError('unknown-observable', `"${outcome}" is not an answer to "${observableId}"`)
}
