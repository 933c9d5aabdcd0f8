import { t } from '#shared/i18n'
import { randomBytes } from 'node:crypto'
import { RULE_SETS, ruleSet, withBandRules, type RuleSet } from '#core/rules'
import type { JobSheets } from '#core/run'
import { OWN_PREFIX, type OwnRuleSet, type RuleSetBody } from '#shared/ruleSet'
import { toRuleSet } from '#shared/ownRuleSet'
import { pool, type Db } from '../db/pool'
import {
  insertOwnRuleSet,
  selectOwnRuleSet,
  selectOwnRuleSets,
  updateOwnRuleSet,
} from '../db/queries/ruleSet'
import { ApiError } from '../utils/apiError'

/** A rule set by its id, built in or one's own. @throws {CoreError} unknown-rule-set */
export async function requireRules(db: Db, id: string): Promise<RuleSet> {
  if (!id.startsWith(OWN_PREFIX)) return ruleSet(id)
  const own = await selectOwnRuleSet(db, id)
  return own ? toRuleSet(own) : ruleSet(id)
}

/**
 * What a job is judged by: the rule set that was chosen, and those that its sheets name for single bands.
 * @throws {CoreError} unknown-rule-set
 */
export async function rulesOfJob(
  db: Db,
  { ruleSetId }: { readonly ruleSetId: string },
  { now, found }: JobSheets,
): Promise<RuleSet> {
  const chosen = await requireRules(db, ruleSetId)
  const all = await everyRuleSet(db)
  return withBandRules(chosen, [now, found], id => all.get(id))
}

/** Every rule set there is, for lists of jobs. */
export async function everyRuleSet(db: Db): Promise<Map<string, RuleSet>> {
  const own = (await selectOwnRuleSets(db)).map(toRuleSet)
  return new Map([...RULE_SETS, ...own].map(r => [r.id, r]))
}

export const ownRuleSets = () => selectOwnRuleSets(pool)

export function addRuleSet(body: RuleSetBody): Promise<OwnRuleSet> {
  return insertOwnRuleSet(pool, `${OWN_PREFIX}${randomBytes(4).toString('hex').toUpperCase()}`, body)
}

export async function changeRuleSet(id: string, version: number, body: RuleSetBody): Promise<OwnRuleSet> {
  const changed = await updateOwnRuleSet(pool, id, version, body)
  if (changed) return changed
  if (!(await selectOwnRuleSet(pool, id)))
    throw new ApiError(404, 'unknown-rule-set', t('server.ruleSetNotFound'))
  throw new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisRule'), 'version')
}
