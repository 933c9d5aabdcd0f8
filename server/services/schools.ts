import { SCHOOLS, schoolOf, type SchoolChoices } from '#core/sheet'
import { pool, type Db } from '../db/pool'
import { selectChoices, setChoice } from '../db/queries/school'

export const schoolChoices = () => selectChoices(pool)

/** Keeps the shop's side of a school; the default's side is no choice. */
export async function choose(schoolId: string, optionId: string): Promise<SchoolChoices> {
  const school = schoolOf(schoolId, optionId)
  await setChoice(pool, schoolId, optionId === school.defaultId ? null : optionId)
  return schoolChoices()
}

/** Choices that a new job is made with: those that change its steps and targets. */
export async function actingChoices(db: Db): Promise<SchoolChoices> {
  const acting = SCHOOLS.filter(s => s.acts).map(s => s.id)
  return Object.fromEntries(Object.entries(await selectChoices(db)).filter(([id]) => acting.includes(id)))
}
