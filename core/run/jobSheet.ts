import { CoreError } from '../errors'
import { amended, applySchools, type FieldChange, type ModelSheet, type SchoolChoices } from '../sheet'
import type { JobEvent } from './jobEvent'
import { entriesOfSheet } from './modelChange'
import { validEvents } from './validEvents'

/**
 * What a job is measured by: the revision of its sheet that it began with, what was corrected on it since,
 * and the schools in force when it began. A correction that stood on one that was struck out since, and fits
 * no longer, is left out.
 */
export function jobSheet(base: ModelSheet, schools: SchoolChoices, events: readonly JobEvent[]): ModelSheet {
  const corrections = entriesOfSheet(base, validEvents(events)).filter(e => e.kind === 'sheet-amended')
  return applySchools(
    corrections.reduce((sheet, { changes }) => amendedIfItFits(sheet, changes), base),
    schools,
  )
}

/** What a job is measured by now, and what the set came as: the same, but after a conversion. */
export interface JobSheets {
  readonly now: ModelSheet
  readonly found: ModelSheet
}

/** @param came base of the sheet that it came as; null = it was not converted */
export function jobSheets(
  base: ModelSheet,
  came: ModelSheet | null,
  schools: SchoolChoices,
  events: readonly JobEvent[],
): JobSheets {
  const now = jobSheet(base, schools, events)
  return { now, found: came ? jobSheet(came, schools, events) : now }
}

function amendedIfItFits(sheet: ModelSheet, changes: readonly FieldChange[]): ModelSheet {
  try {
    return amended(sheet, changes)
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return sheet
  }
}

/** Seconds keyed so far, in all and by step. What two screens kept of one key-down counts once. */
export function keyDownTotals(events: readonly JobEvent[]): {
  totalS: number
  byStep: ReadonlyMap<string | null, number>
} {
  const byStep = new Map<string | null, number>()
  let countedMs = -Infinity
  for (const e of validEvents(events)
    .filter(e => e.kind === 'keyed')
    .toSorted((a, b) => a.atMs - b.atMs)) {
    const lengthS = Math.min(e.lengthS, Math.max(0, (e.atMs - countedMs) / 1000))
    countedMs = Math.max(countedMs, e.atMs)
    byStep.set(e.stepId, (byStep.get(e.stepId) ?? 0) + lengthS)
  }
  return { totalS: [...byStep.values()].reduce((a, b) => a + b, 0), byStep }
}
