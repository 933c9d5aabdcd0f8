import type { ModelSheet } from './modelSheet'
import { applySchools } from './schools/applySchools'
import type { SchoolChoices } from './schools/school'
import { modelSheet } from './sheets'

/** What a job is measured by: the revision of its sheet, with the schools that were in force when it began. @throws {CoreError} unknown-sheet */
export function sheetOf(job: { readonly sheetId: string, readonly sheetRevision: number, readonly schools: SchoolChoices }): ModelSheet {
  return applySchools(modelSheet(job.sheetId, job.sheetRevision), job.schools)
}
