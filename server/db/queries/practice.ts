import type { PracticeRecord, Review } from '#core/practice'
import type { PracticeSession, PracticeSummary } from '#shared/practiceSession'
import type { Db } from '../pool'

const SUMMARY = `s.id, s.trainee, s.design_id as "designId", s.lesson_id as "lessonId", s.kit_id as "kitId",
  s.job_id as "jobId", j.number as "jobNumber",
  (s.scenario->>'difficulty')::int as difficulty, (extract(epoch
    from s.started_at) * 1000)::float8 as "startedAtMs", (extract(epoch
    from s.finished_at) * 1000)::float8 as "finishedAtMs"`
const FROM = 'from practice_session s left join job j on j.id = s.job_id'

const INSERT = `insert into practice_session (id, trainee, design_id, lesson_id, kit_id, scenario, job_id)
  values ($1::uuid, $2::text, $3::text, $4::text, $5::text, $6::jsonb, $7::uuid) on conflict (id) do nothing`
const LIST = `select ${SUMMARY}, s.review->'faults' as faults, (s.review->>'workedS')::float8 as "workedS",
  s.review->'damage' as damage ${FROM} order by s.started_at desc limit 200`
const ONE = `select ${SUMMARY}, s.named, s.review, s.record->'trace' as trace,
  s.record->'log' as log ${FROM} where s.id = $1::uuid`
/** What is wrong with the set stays on the server until the case is finished. */
const OPEN = `select ${SUMMARY} ${FROM} where s.finished_at is null order by s.started_at desc limit 1`
const FINISH = `update practice_session set finished_at = now(), named = $2::jsonb, record = $3::jsonb,
    review = $4::jsonb where id = $1::uuid and finished_at is null`
const LEAVE = 'update practice_session set finished_at = now() where finished_at is null'

export async function insertPractice(
  db: Db,
  s: {
    id: string
    trainee: string
    designId: string
    lessonId: string | null
    kitId: string
    scenario: unknown
    jobId: string | null
  },
): Promise<void> {
  await db.query(INSERT, [
    s.id,
    s.trainee,
    s.designId,
    s.lessonId,
    s.kitId,
    JSON.stringify(s.scenario),
    s.jobId,
  ])
}

export async function selectPractices(db: Db): Promise<PracticeSummary[]> {
  return (await db.query<PracticeSummary>(LIST)).rows
}

export async function selectPractice(db: Db, id: string): Promise<PracticeSession | null> {
  return (await db.query<PracticeSession>(ONE, [id])).rows[0] ?? null
}

export async function selectOpenPractice(db: Db): Promise<PracticeSummary | null> {
  return (await db.query<PracticeSummary>(OPEN)).rows[0] ?? null
}

export async function finishPracticeRow(
  db: Db,
  id: string,
  named: readonly string[],
  record: PracticeRecord,
  review: Review,
): Promise<boolean> {
  return (
    (await db.query(FINISH, [id, JSON.stringify(named), JSON.stringify(record), JSON.stringify(review)]))
      .rowCount === 1
  )
}

/** A case that another one was put in place of: it ends without a review. */
export async function leaveOpenPractices(db: Db): Promise<void> {
  await db.query(LEAVE)
}
