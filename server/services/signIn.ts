import type { AuthenticationResponseJSON } from '@simplewebauthn/server'
import { getRequestHost, type H3Event } from 'h3'
import { t } from '#shared/i18n'
import type { Me } from '#shared/people'
import { isDatabaseAway } from '../db/errors'
import { inTransaction, pool } from '../db/pool'
import { hasPasskeys } from '../db/queries/passkey'
import { selectSecrets, selectSecretsByName, type PersonSecrets } from '../db/queries/person'
import { deleteSession, insertSession, selectKnown, upsertBrowser } from '../db/queries/session'
import { insertAudit } from '../db/queries/workshop'
import { ApiError } from '../utils/apiError'
import { attempt } from '../utils/attempts'
import { isSecret, newToken, tokenHash } from '../utils/secret'
import {
  addressOf,
  browserHash,
  browserToken,
  forgetSession,
  keepBrowser,
  keepSession,
  sessionHash,
} from '../utils/session'
import { entranceOf, forget } from './entrance'
import { isAnswered, proofOf } from './passkeys'
import { hasBench } from './practice'

/** What a page has to know before it shows anything. */
export async function me(event: H3Event): Promise<Me> {
  const { workshop, signIn, ruleSetId, person } = await entranceOf(sessionHash(event))
  const browser = browserHash(event)
  return {
    isSetUp: workshop !== null,
    signIn,
    workshop: workshop ?? '',
    address: process.env.ADDRESS ?? null,
    ruleSetId,
    person,
    known: signIn && browser ? await knownIn(browser) : [],
    hasPasskeys: signIn && (await hasPasskeysHere(event)),
    hasPractice: hasBench(),
  }
}

/** While the database is away nobody can sign in anyway. */
async function knownIn(browser: Buffer) {
  try {
    return await selectKnown(pool, browser)
  } catch (error) {
    if (isDatabaseAway(error)) return []
    throw error
  }
}

async function hasPasskeysHere(event: H3Event): Promise<boolean> {
  try {
    return await hasPasskeys(pool, getRequestHost(event).replace(/:\d+$/, ''))
  } catch (error) {
    if (isDatabaseAway(error)) return false
    throw error
  }
}

/** @throws {ApiError} wrong-secret, too-many-tries */
export async function signInByPassword(
  event: H3Event,
  { name, password }: { name: string; password: string },
): Promise<void> {
  const person = await selectSecretsByName(pool, name)
  const isRight = await attempt('password', name, addressOf(event), () =>
    isSecret(password, person?.passwordHash ?? null),
  )
  if (!isRight || !person) return refuse(person?.id ?? null, person?.name ?? name, '')
  await begin(event, person)
}

/** By PIN, in a browser where the same person signed in by password. @throws as above */
export async function signInByPin(
  event: H3Event,
  { personId, pin }: { personId: string; pin: string },
): Promise<void> {
  const browser = browserHash(event)
  const known = browser ? await selectKnown(pool, browser) : []
  const person = known.some(k => k.personId === personId) ? await selectSecrets(pool, personId) : null
  // Counted for this browser: a stranger elsewhere cannot use up the tries of whoever works here.
  const where = `${browser?.toString('base64') ?? ''} ${personId}`
  const isRight = await attempt('pin', where, addressOf(event), () => isSecret(pin, person?.pinHash ?? null))
  if (!isRight || !person) return refuse(person?.id ?? null, person?.name ?? '', 'PIN')
  await begin(event, person)
}

/** By a key of the device, which asked for a finger, a face or its own PIN. @throws as above; needs-a-name */
export async function signInByPasskey(event: H3Event, response: AuthenticationResponseJSON): Promise<void> {
  const proof = await proofOf(response.id)
  const person = proof ? await selectSecrets(pool, proof.personId) : null
  const isRight = await attempt('passkey', response.id, addressOf(event), () =>
    isAnswered(event, proof, response),
  )
  if (!isRight || !person) return refuse(person?.id ?? null, person?.name ?? '', 'passkey')
  await begin(event, person)
}

/** Says no more than that it did not fit: neither whether there is such a name. */
async function refuse(personId: string | null, name: string, by: string): Promise<never> {
  await insertAudit(pool, 'sign-in-failed', { personId, name: name.slice(0, 60) || '?' }, by)
  throw new ApiError(401, 'wrong-secret', t('server.wrongSecret'))
}

/** A new session with a new cookie; the one of whoever sat here before ends. */
export async function begin(event: H3Event, { id, name }: Pick<PersonSecrets, 'id' | 'name'>): Promise<void> {
  const token = newToken()
  const browser = browserToken(event) ?? newToken()
  const before = sessionHash(event)
  await inTransaction(async db => {
    if (before) await deleteSession(db, before)
    await insertSession(db, tokenHash(token), id)
    await upsertBrowser(db, tokenHash(browser), id)
    await insertAudit(db, 'signed-in', { personId: id, name })
  })
  if (before) forget(before)
  keepSession(event, token)
  keepBrowser(event, browser)
}

export async function signOut(event: H3Event): Promise<void> {
  const token = sessionHash(event)
  const { person } = event.context
  if (token) {
    await deleteSession(pool, token)
    forget(token)
  }
  if (person) await insertAudit(pool, 'signed-out', person)
  forgetSession(event)
}
