import type { AuditAction, AuditEntry, Role } from '#shared/people'
import type { Db } from '../pool'

const LONGEST_AUDIT = 500

/** @returns false when people sign in already: that is not undone from a page */
export async function setUpWorkshop(
  db: Db,
  { name, signIn, ruleSetId }: { name: string; signIn: boolean; ruleSetId: string | null },
): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into workshop (name, sign_in, rule_set_id) values ($1, $2, $3)
     on conflict (only_one) do update set name = excluded.name, sign_in = excluded.sign_in,
       rule_set_id = coalesce(excluded.rule_set_id, workshop.rule_set_id)
       where not workshop.sign_in`,
    [name, signIn, ruleSetId],
  )
  return rowCount === 1
}

/** @returns false before the first start */
export async function updateUsualRules(db: Db, ruleSetId: string | null): Promise<boolean> {
  const { rowCount } = await db.query('update workshop set rule_set_id = $1', [ruleSetId])
  return rowCount === 1
}

/** @param person null = nobody that is known */
export async function insertAudit(
  db: Db,
  action: AuditAction,
  person: { readonly personId: string | null; readonly name: string },
  about = '',
  role: Role | null = null,
): Promise<void> {
  await db.query(
    'insert into audit_entry (action, person_id, name, about, role) values ($1, $2::uuid, $3, $4, $5)',
    [action, person.personId, person.name, about, role],
  )
}

/** The last ones, newest first. */
export async function selectAudit(db: Db): Promise<AuditEntry[]> {
  const { rows } = await db.query<AuditEntry>(
    `select (extract(epoch from at) * 1000)::float8 as "atMs", action, name, about, role from audit_entry
     order by id desc limit ${LONGEST_AUDIT}`,
  )
  return rows
}

/** Rule set under which most sets of the workshop are used; null = none was chosen. */
export async function selectUsualRuleSetId(db: Db): Promise<string | null> {
  const { rows } = await db.query<{ id: string | null }>('select rule_set_id as id from workshop')
  return rows[0]?.id ?? null
}
