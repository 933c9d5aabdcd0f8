import { randomUUID } from 'node:crypto'
import type { H3Event } from 'h3'
import { t } from '#shared/i18n'
import { inTransaction, pool } from '../db/pool'
import { insertPerson } from '../db/queries/person'
import { insertAudit, selectAudit, setUpWorkshop } from '../db/queries/workshop'
import { ApiError } from '../utils/apiError'
import { hashed } from '../utils/secret'
import { forgetAll } from './entrance'
import { begin } from './signIn'

export const audit = () => selectAudit(pool)

interface FirstStart {
  readonly workshop: string
  readonly owner: { readonly name: string; readonly password: string } | null
}

/**
 * The first start, or sign-in brought in later; its first owner is signed in at once.
 * @param owner null = whoever sits at this machine works without sign-in
 * @throws {ApiError} already-set-up: people sign in here already
 */
export async function setUp(event: H3Event, { workshop, owner }: FirstStart): Promise<void> {
  const person = owner && {
    id: randomUUID(),
    name: owner.name,
    role: 'owner' as const,
    passwordHash: await hashed(owner.password),
  }
  await inTransaction(async db => {
    if (!(await setUpWorkshop(db, workshop, person !== null)))
      throw new ApiError(409, 'already-set-up', t('server.alreadySetUp'))
    if (person) await insertPerson(db, person)
    const by = person ? { personId: person.id, name: person.name } : { personId: null, name: workshop }
    await insertAudit(db, 'workshop-set-up', by, workshop)
  })
  forgetAll()
  if (person) await begin(event, person)
}
