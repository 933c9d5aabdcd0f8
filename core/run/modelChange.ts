import type { ModelSheet } from '../sheet'
import { fittingEntry } from './fittingEntry'
import type { ModelChanged, SheetRef } from './jobChange'
import type { JobEvent } from './jobEvent'
import { validEvents } from './validEvents'

/**
 * Entries that speak of rows, steps and adjusters of a sheet, or settle what it asks: they count while a job
 * is measured by that sheet. What struck or answered one of them names it by its id.
 */
const OF_A_SHEET: readonly JobEvent['kind'][] = [
  'row-taken',
  'adjuster-turned',
  'unlisted-turned',
  'step-confirmed',
  'step-reopened',
  'gate-passed',
  'position-noted',
  'settings-noted',
  'sheet-amended',
  'line-confirmed',
  'item-settled',
  'items-settled',
]

/** Whether an entry means something by one sheet only. */
export const isOfASheet = ({ kind }: JobEvent): boolean => OF_A_SHEET.includes(kind)

/**
 * The entries that count by one sheet of a job: those that were made while it was measured by it, and all
 * that are about no sheet. A model that is chosen once more finds its own entries again; a better sheet of
 * the same model takes over what fits it.
 */
export function entriesOfSheet(sheet: ModelSheet, events: readonly JobEvent[]): readonly JobEvent[] {
  const changes = events.filter(e => e.kind === 'model-changed')
  if (changes.length === 0) return events
  const lineage = sheetsBefore(sheet.id, changes)
  const isBetter = changes.some(e => e.because === 'own-sheet' && e.to.sheetId === sheet.id)
  let at = changes[0]!.from.sheetId
  const counted = events.filter(e => {
    if (e.kind === 'model-changed') at = e.to.sheetId
    return lineage.has(at) || !isOfASheet(e)
  })
  return isBetter ? counted.flatMap(e => fittingEntry(sheet, e) ?? []) : counted
}

/** Ids of a sheet and of those that it took the place of, for the same model. */
function sheetsBefore(sheetId: string, changes: readonly ModelChanged[]): ReadonlySet<string> {
  const ids = new Set([sheetId])
  for (const { because, from, to } of changes.toReversed())
    if (because === 'own-sheet' && ids.has(to.sheetId)) ids.add(from.sheetId)
  return ids
}

/** What a set came as, before it was converted; null = it is what it came as. */
export function cameAs(events: readonly JobEvent[]): SheetRef | null {
  let found: SheetRef | null = null
  for (const e of validEvents(events)) {
    if (e.kind !== 'model-changed') continue
    if (e.because === 'conversion') found ??= e.from
    if (found?.sheetId === e.to.sheetId) found = null
  }
  return found
}

/** Sheets by which a job was measured so far, the last revision of each that it used. */
export function sheetsUsed(events: readonly JobEvent[]): SheetRef[] {
  const refs = validEvents(events).flatMap(e => (e.kind === 'model-changed' ? [e.from, e.to] : []))
  return [...new Map(refs.map(r => [r.sheetId, r])).values()]
}
