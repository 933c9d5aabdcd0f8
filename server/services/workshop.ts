import { randomUUID } from 'node:crypto'
import type { H3Event } from 'h3'
import { t } from '#shared/i18n'
import { inTransaction, pool } from '../db/pool'
import { insertPerson } from '../db/queries/person'
import { insertAudit, selectAudit, setUpWorkshop, updateUsualRules } from '../db/queries/workshop'
import { ApiError } from '../utils/apiError'
import { refuseGuessable } from '../utils/guessable'
import { hashed } from '../utils/secret'
import { forgetAll } from './entrance'
import { requireRules } from './rules'
import { begin } from './signIn'

export const audit = () => selectAudit(pool)

interface FirstStart {
  readonly workshop: string
  /** null, or none = as each model's sheet says */
  readonly ruleSetId?: string | null
  readonly owner: { readonly name: string; readonly password: string } | null
}

/**
 * The first start, or sign-in brought in later; its first owner is signed in at once.
 * @param owner null = whoever sits at this machine works without sign-in
 * @throws {ApiError} already-set-up: people sign in here already; {CoreError} unknown-rule-set
 */
export async function setUp(
  event: H3Event,
  { workshop, owner, ruleSetId = null }: FirstStart,
): Promise<void> {
  if (ruleSetId) await requireRules(pool, ruleSetId)
  if (owner) refuseGuessable(owner.password, [owner.name, workshop], 'owner.password')
  const person = owner && {
    id: randomUUID(),
    name: owner.name,
    role: 'owner' as const,
    passwordHash: await hashed(owner.password),
  }
  await inTransaction(async db => {
    if (!(await setUpWorkshop(db, { name: workshop, signIn: person !== null, ruleSetId })))
      throw new ApiError(409, 'already-set-up', t('server.alreadySetUp'))
    if (person) await insertPerson(db, person)
    const by = person ? { personId: person.id, name: person.name } : { personId: null, name: workshop }
    await insertAudit(db, 'workshop-set-up', by, workshop)
  })
  forgetAll()
  if (person) await begin(event, person)
}

/** From now on offered for a new job. @throws {CoreError} unknown-rule-set; {ApiError} cannot-be-kept */
export async function chooseUsualRules(ruleSetId: string | null): Promise<void> {
  if (ruleSetId) await requireRules(pool, ruleSetId)
  if (!(await updateUsualRules(pool, ruleSetId)))
    throw new ApiError(409, 'cannot-be-kept', t('server.notSetUpYet'))
}
