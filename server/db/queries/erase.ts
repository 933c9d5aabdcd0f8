import type { Db } from '../pool'

/** Jobs of an owner, however the name is capitalised. */
export async function selectJobsOfOwner(db: Db, owner: string) {
  const { rows } = await db.query<{ id: string; number: number; model: string; serial: string }>(
    `select id, number, sheet_id as model, serial from job where lower(owner) = lower($1) order by number`,
    [owner],
  )
  return rows
}

/** Everything of the intake that names an owner; what he complained of is about the set. */
export async function eraseOwnerOf(db: Db, jobId: string, nobody: string): Promise<void> {
  await db.query(
    `update job set owner = $2, contact = '', owner_language = '', owner_erased_at = now(), version = version + 1
      where id = $1::uuid`,
    [jobId, nobody],
  )
}

/** Whether the owner of a job was erased from it. */
export async function isOwnerErased(db: Db, jobId: string): Promise<boolean> {
  const erased = 'select from job where id = $1::uuid and owner_erased_at is not null'
  return (await db.query(erased, [jobId])).rowCount === 1
}

/** A frozen record without its owner, and away with the copies that were printed for him. */
export async function replaceFrozen(
  db: Db,
  jobId: string,
  number: number,
  { record, checksum }: { readonly record: string; readonly checksum: string },
): Promise<void> {
  await db.query(
    `update handover_issue set printed_checksum = coalesce(printed_checksum, checksum), record = $3, checksum = $4
      where job_id = $1::uuid and number = $2::int`,
    [jobId, number, record, checksum],
  )
  await db.query('delete from handover_paper where job_id = $1::uuid and number = $2::int', [jobId, number])
}

/** Opens what is frozen within this transaction: the owner of the tables can, the application cannot. */
export async function openFrozen(db: Db, work: () => Promise<void>): Promise<void> {
  const triggers = [
    ['handover_issue', 'handover_issue_is_frozen'],
    ['handover_paper', 'handover_paper_is_frozen'],
  ] as const
  for (const [table, trigger] of triggers) await db.query(`alter table ${table} disable trigger ${trigger}`)
  await work()
  for (const [table, trigger] of triggers) await db.query(`alter table ${table} enable trigger ${trigger}`)
}

/** Pieces of a job, with what they are, in which one of the words occurs. */
export async function selectMentions(db: Db, jobId: string, words: readonly string[]) {
  const { rows } = await db.query<{ what: string; text: string }>(
    `select what, text from (
       select 'intake' as what, concat_ws(' ', complaint, claims::text, accessories, box_note, may_do) as text
         from job where id = $1::uuid
       union all select 'entry ' || kind, body::text from job_event where job_id = $1::uuid
       union all select 'file', name from attachment where job_id = $1::uuid
       union all select 'recording', name from recording where job_id = $1::uuid) piece
     where lower(text) like any($2::text[])`,
    [jobId, words.map(w => `%${w.toLowerCase().replace(/[\\%_]/g, '\\$&')}%`)],
  )
  return rows
}
