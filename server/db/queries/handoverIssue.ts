import type { HandoverIssue } from '#shared/handoverIssue'
import type { Db } from '../pool'

const COLUMNS = 'number, checksum, printed_checksum as "printedChecksum", created_at as "atMs"'

/** Stores the next issue of a job. @returns its number */
export async function insertIssue(
  db: Db,
  jobId: string,
  event: { id: string; atMs: number },
  checksum: string,
  record: string,
): Promise<number> {
  const {
    rows: [row],
  } = await db.query<{ number: number }>(
    `insert into handover_issue (job_id, number, event_id, checksum, record, created_at)
     select $1::uuid, coalesce(max(number), 0) + 1, $2::uuid, $3, $4, to_timestamp($5::float8 / 1000)
       from handover_issue where job_id = $1::uuid
     returning number`,
    [jobId, event.id, checksum, record, event.atMs],
  )
  return row!.number
}

/** The issues of a job, newest first. */
export async function selectIssues(db: Db, jobId: string): Promise<HandoverIssue[]> {
  const { rows } = await db.query<HandoverIssue>(
    `select ${COLUMNS} from handover_issue where job_id = $1::uuid order by number desc`,
    [jobId],
  )
  return rows
}

export async function selectIssue(
  db: Db,
  jobId: string,
  number: number,
): Promise<(HandoverIssue & { record: string }) | null> {
  const {
    rows: [row],
  } = await db.query<HandoverIssue & { record: string }>(
    `select ${COLUMNS}, record from handover_issue where job_id = $1::uuid and number = $2::int`,
    [jobId, number],
  )
  return row ?? null
}
