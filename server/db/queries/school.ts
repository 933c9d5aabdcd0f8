import type { SchoolChoices } from '#core/sheet'
import type { Db } from '../pool'

export async function selectChoices(db: Db): Promise<SchoolChoices> {
  const { rows } = await db.query<{ school: string; option: string }>(
    'select school_id as school, option_id as option from shop_choice',
  )
  return Object.fromEntries(rows.map(r => [r.school, r.option]))
}

/** @param optionId null = the default again */
export async function setChoice(db: Db, schoolId: string, optionId: string | null): Promise<void> {
  if (optionId === null) await db.query('delete from shop_choice where school_id = $1', [schoolId])
  else
    await db.query(
      `insert into shop_choice (school_id, option_id) values ($1, $2)
        on conflict (school_id) do update set option_id = excluded.option_id`,
      [schoolId, optionId],
    )
}
