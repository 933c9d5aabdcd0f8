import { planOf } from '../rules'
import { fieldValue, type ModelSheet } from '../sheet'
import { CoreError } from '../errors'
import type { JobEvent } from './jobEvent'

/**
 * What of an entry still means something by another revision of its sheet, or by the sheet that the model got
 * later: readings of rows and quantities that are asked for there too, adjusters and steps that are there.
 * @returns the entry, a part of it, or null: nothing of it fits
 */
export function fittingEntry(sheet: ModelSheet, event: JobEvent): JobEvent | null {
  const isAdjuster = (designator: string) => sheet.adjusters.some(a => a.designator === designator)
  switch (event.kind) {
    case 'row-taken':
      return fittingRow(sheet, event)
    case 'adjuster-turned': {
      const designators = event.designators.filter(isAdjuster)
      return designators.length === event.designators.length ? event : someOf(event, designators)
    }
    case 'turn-answered':
      return event.designators.every(isAdjuster) ? event : null
    case 'position-noted':
      return isAdjuster(event.designator) ? event : null
    case 'settings-noted':
      return (event.channel ?? 0) <= planOf(sheet).channelsHz.length ? event : null
    case 'step-confirmed':
    case 'step-reopened':
    case 'gate-passed':
      return sheet.procedure.some(s => s.id === event.stepId) ? event : null
    case 'line-confirmed':
      return hasField(sheet, event.line) ? event : null
    default:
      return event
  }
}

type OfKind<K extends JobEvent['kind']> = Extract<JobEvent, { kind: K }>

function someOf(event: OfKind<'adjuster-turned'>, designators: readonly string[]): JobEvent | null {
  return designators.length > 0 ? { ...event, designators } : null
}

function fittingRow(sheet: ModelSheet, event: OfKind<'row-taken'>): JobEvent | null {
  const points =
    event.stepId === null ? sheet.matrix : sheet.procedure.find(s => s.id === event.stepId)?.points
  const wants = points?.find(p => p.id === event.pointId)?.wants ?? []
  const readings = event.readings.filter(r => wants.some(w => w.quantity === r.quantity))
  if (readings.length === 0) return null
  return readings.length === event.readings.length ? event : { ...event, readings }
}

function hasField(sheet: ModelSheet, path: string): boolean {
  try {
    fieldValue(sheet, path)
    return true
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return false
  }
}

/** Entries that count no longer by another sheet, in all or in part. */
export function unfittingEntries(sheet: ModelSheet, events: readonly JobEvent[]): readonly JobEvent[] {
  return events.filter(e => fittingEntry(sheet, e) !== e)
}
