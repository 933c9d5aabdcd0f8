import type { Language } from '#shared/i18n'
import type { Db } from '../pool'

/** Keeps the owner's copy of an issue as it was handed over. */
export async function insertPaper(
  db: Db,
  jobId: string,
  number: number,
  language: Language,
  paper: Buffer,
): Promise<void> {
  await db.query(
    `insert into handover_paper (job_id, number, language, paper)
     values ($1::uuid, $2::int, $3::text, $4::bytea)`,
    [jobId, number, language, paper],
  )
}

/** @returns null where an issue is older than papers that are kept */
export async function selectPaper(db: Db, jobId: string, number: number): Promise<Buffer | null> {
  const { rows } = await db.query<{ paper: Buffer }>(
    'select paper from handover_paper where job_id = $1::uuid and number = $2::int',
    [jobId, number],
  )
  return rows[0]?.paper ?? null
}
