import type { OwnRuleSet, RuleSetBody } from '#shared/ruleSet'
import { completeBody } from '#shared/ownRuleSet'
import type { Db } from '../pool'

const COLUMNS = 'id, version, body'
const complete = (row: OwnRuleSet): OwnRuleSet => ({ ...row, body: completeBody(row.body) })

export async function selectOwnRuleSets(db: Db): Promise<OwnRuleSet[]> {
  const { rows } = await db.query<OwnRuleSet>(`select ${COLUMNS} from own_rule_set order by created_at`)
  return rows.map(complete)
}

export async function selectOwnRuleSet(db: Db, id: string): Promise<OwnRuleSet | null> {
  const {
    rows: [row],
  } = await db.query<OwnRuleSet>(`select ${COLUMNS} from own_rule_set where id = $1`, [id])
  return row ? complete(row) : null
}

export async function insertOwnRuleSet(db: Db, id: string, body: RuleSetBody): Promise<OwnRuleSet> {
  const {
    rows: [row],
  } = await db.query<OwnRuleSet>(
    `insert into own_rule_set (id, body) values ($1, $2::jsonb) returning ${COLUMNS}`,
    [id, JSON.stringify(body)],
  )
  return complete(row!)
}

/** @returns null when there is no such set in that version */
export async function updateOwnRuleSet(
  db: Db,
  id: string,
  version: number,
  body: RuleSetBody,
): Promise<OwnRuleSet | null> {
  const {
    rows: [row],
  } = await db.query<OwnRuleSet>(
    `update own_rule_set set body = $3::jsonb, version = version + 1 where id = $1 and version = $2::int
      returning ${COLUMNS}`,
    [id, version, JSON.stringify(body)],
  )
  return row ? complete(row) : null
}
