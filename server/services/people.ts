import { t } from '#shared/i18n'
import type { Person, Role, SignedIn } from '#shared/people'
import { inTransaction, pool, type Db } from '../db/pool'
import {
  insertPerson,
  lockOwners,
  selectPeople,
  selectSecrets,
  updatePassword,
  updatePerson,
  updatePin,
} from '../db/queries/person'
import { deletePasskeysOf } from '../db/queries/passkey'
import { deleteBrowsersOf, deleteSessionsOf } from '../db/queries/session'
import { insertAudit } from '../db/queries/workshop'
import { ApiError } from '../utils/apiError'
import { attempt } from '../utils/attempts'
import { refuseGuessable } from '../utils/guessable'
import { hashed, isSecret } from '../utils/secret'
import { forgetAll } from './entrance'

export const people = () => selectPeople(pool)

interface NewPerson {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly password: string
}

/** The same request again adds nobody. @throws {ApiError} name-taken */
export async function addPerson({ password, ...person }: NewPerson, by: SignedIn): Promise<Person[]> {
  refuseGuessable(password, [person.name])
  const passwordHash = await hashed(password)
  await inTransaction(async db => {
    if (await insertPerson(db, { ...person, passwordHash }))
      await insertAudit(db, 'person-added', by, person.name, person.role)
  })
  return people()
}

/**
 * Name, role, and whether somebody may sign in at all; whoever may not is signed out everywhere.
 * @throws {ApiError} changed-meanwhile, unknown-person, name-taken; cannot-be-kept: no owner would be left
 */
export async function changePerson(
  id: string,
  change: Pick<Person, 'name' | 'role' | 'active' | 'version'>,
  by: SignedIn,
): Promise<Person[]> {
  await inTransaction(async db => {
    await keepAnOwner(db, id, change)
    if (!(await updatePerson(db, id, change))) throw await whyNot(id)
    if (!change.active) await deleteSessionsOf(db, id, null)
    await insertAudit(db, change.active ? 'person-changed' : 'person-barred', by, change.name, change.role)
  })
  forgetAll()
  return people()
}

async function keepAnOwner(db: Db, id: string, { role, active }: Pick<Person, 'role' | 'active'>) {
  const owners = await lockOwners(db)
  if (owners.includes(id) && owners.length === 1 && (role !== 'owner' || !active))
    throw new ApiError(409, 'cannot-be-kept', t('server.lastOwner'), 'role')
}

async function whyNot(id: string): Promise<ApiError> {
  const isThere = (await people()).some(p => p.id === id)
  return isThere
    ? new ApiError(409, 'changed-meanwhile', t('server.someoneElseHasChangedThisPerson'), 'version')
    : new ApiError(404, 'unknown-person', t('server.notFound', { named: t('server.person'), id }))
}

/** By the owner, for somebody who has lost it: signed out everywhere. @throws {ApiError} unknown-person */
export async function resetPassword(id: string, password: string, by: SignedIn): Promise<void> {
  refuseGuessable(password, [(await selectSecrets(pool, id))?.name ?? ''])
  const passwordHash = await hashed(password)
  await inTransaction(async db => {
    if (!(await updatePassword(db, id, passwordHash))) throw await whyNot(id)
    await signedOutEverywhere(db, id, null)
    await deletePasskeysOf(db, id)
    const name = (await selectPeople(db)).find(p => p.id === id)?.name ?? ''
    await insertAudit(db, 'password-changed', by, name)
  })
  forgetAll()
}

/** @param session the one that stays @throws {ApiError} wrong-secret, too-many-tries */
export async function changeOwnPassword(
  of: SignedIn,
  { old, password }: { old: string; password: string },
  session: Buffer | null,
  address: string,
): Promise<void> {
  await prove(of, old, address)
  refuseGuessable(password, [of.name])
  const passwordHash = await hashed(password)
  await inTransaction(async db => {
    await updatePassword(db, of.personId, passwordHash)
    await signedOutEverywhere(db, of.personId, session)
    await insertAudit(db, 'password-changed', of)
  })
  forgetAll()
}

/** @param pin null = none any more @throws {ApiError} wrong-secret, too-many-tries */
export async function changeOwnPin(
  of: SignedIn,
  { password, pin }: { password: string; pin: string | null },
  address: string,
): Promise<void> {
  await prove(of, password, address)
  const pinHash = pin === null ? null : await hashed(pin)
  await inTransaction(async db => {
    await updatePin(db, of.personId, pinHash)
    await insertAudit(db, 'pin-changed', of)
  })
}

/** By the present password, before a secret changes. @throws {ApiError} wrong-secret, too-many-tries */
export async function prove(of: SignedIn, password: string, address: string): Promise<void> {
  const secrets = await selectSecrets(pool, of.personId)
  const isRight = await attempt('password', of.name, address, () =>
    isSecret(password, secrets?.passwordHash ?? null),
  )
  if (!isRight) throw new ApiError(403, 'wrong-secret', t('server.wrongPassword'), 'password')
}

async function signedOutEverywhere(db: Db, id: string, but: Buffer | null): Promise<void> {
  await deleteSessionsOf(db, id, but)
  await deleteBrowsersOf(db, id)
}
