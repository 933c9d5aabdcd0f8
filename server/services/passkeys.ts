import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server'
import { decodeClientDataJSON } from '@simplewebauthn/server/helpers'
import { getHeader, type H3Event } from 'h3'
import { t } from '#shared/i18n'
import type { Passkey, SignedIn } from '#shared/people'
import { namedHost } from '#shared/passkeyHost'
import { inTransaction, pool } from '../db/pool'
import {
  deletePasskey,
  insertChallenge,
  insertPasskey,
  markUsed,
  selectCredentialIds,
  selectPasskeys,
  selectProof,
  takeChallenge,
  type PasskeyProof,
} from '../db/queries/passkey'
import { insertAudit } from '../db/queries/workshop'
import { ApiError } from '../utils/apiError'
import { isAsked } from '../utils/attempts'
import { addressOf } from '../utils/session'
import { prove } from './people'

/** Longest challenge that is looked up; ours are shorter. */
const MAX_CHALLENGE = 200

/** The name by which the browser called this server, and the page that a passkey has to answer to. */
interface Place {
  readonly host: string
  readonly origin: string
}

/**
 * What a device needs to make a passkey for whoever is signed in.
 * @param password present one, as for every other secret
 * @throws {ApiError} wrong-secret, too-many-tries; needs-a-name: the page was opened by a bare address
 */
export async function offerPasskey(event: H3Event, of: SignedIn, password: string) {
  const { host } = requirePlace(event)
  await prove(of, password, addressOf(event))
  const known = await selectCredentialIds(pool, of.personId, host)
  const options = await generateRegistrationOptions({
    rpName: 'Diapason',
    rpID: host,
    userName: of.name,
    userID: Buffer.from(of.personId),
    excludeCredentials: known.map(id => ({ id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  })
  await insertChallenge(pool, options.challenge, of.personId)
  return options
}

/** Keeps what a device made. @throws {ApiError} needs-a-name, passkey-refused, id-reused */
export async function addPasskey(
  event: H3Event,
  of: SignedIn,
  { id, name, response }: { id: string; name: string; response: RegistrationResponseJSON },
): Promise<Passkey[]> {
  const place = requirePlace(event)
  const made = await ifTrue(response, of.personId, expectedChallenge =>
    verifyRegistrationResponse({ response, expectedChallenge, ...expected(place) }),
  )
  const credential = made?.verified ? made.registrationInfo.credential : null
  if (!credential) throw new ApiError(400, 'passkey-refused', t('server.passkeyRefused'), 'response')
  const { id: credentialId, publicKey, counter, transports = [] } = credential
  const row = {
    id,
    name,
    personId: of.personId,
    host: place.host,
    credentialId,
    publicKey,
    counter,
    transports,
  }
  await inTransaction(async db => {
    if (!(await insertPasskey(db, row)))
      throw new ApiError(409, 'id-reused', t('server.passkeyIsHere'), 'response')
    await insertAudit(db, 'passkey-added', of, `${name}, ${place.host}`)
  })
  return passkeysOf(of)
}

export const passkeysOf = ({ personId }: SignedIn): Promise<Passkey[]> => selectPasskeys(pool, personId)

/** @throws {ApiError} unknown-passkey */
export async function removePasskey(of: SignedIn, id: string): Promise<Passkey[]> {
  await inTransaction(async db => {
    const name = await deletePasskey(db, of.personId, id)
    if (name === null)
      throw new ApiError(404, 'unknown-passkey', t('server.notFound', { named: t('server.passkey'), id }))
    await insertAudit(db, 'passkey-removed', of, name)
  })
  return passkeysOf(of)
}

/** What any passkey of this server may answer; the device says whose it is. @throws as above */
export async function askPasskey(event: H3Event) {
  const { host } = requirePlace(event)
  await isAsked(addressOf(event))
  const options = await generateAuthenticationOptions({ rpID: host, userVerification: 'required' })
  await insertChallenge(pool, options.challenge, null)
  return options
}

/** Whose passkey it is that has to have answered. */
export const proofOf = (credentialId: string): Promise<PasskeyProof | null> => selectProof(pool, credentialId)

/** Whether the answer was signed by this passkey, here and now, for a challenge of ours; noted if so. */
export async function isAnswered(
  event: H3Event,
  proof: PasskeyProof | null,
  response: AuthenticationResponseJSON,
): Promise<boolean> {
  const place = requirePlace(event)
  const checked = await ifTrue(response, null, async expectedChallenge => {
    if (!proof) return null
    const { credentialId: id, counter } = proof
    const credential = { id, counter, publicKey: new Uint8Array(proof.publicKey) }
    return verifyAuthenticationResponse({ response, expectedChallenge, credential, ...expected(place) })
  })
  if (!checked?.verified || proof?.host !== place.host) return false
  await markUsed(pool, proof.id, checked.authenticationInfo.newCounter)
  return true
}

const expected = ({ host, origin }: Place) => ({
  expectedOrigin: origin,
  expectedRPID: host,
  requireUserVerification: true,
})

/** @param personId for whom the challenge was made @returns null when it was none of ours, or does not fit */
async function ifTrue<T>(
  { response }: { readonly response: { readonly clientDataJSON: string } },
  personId: string | null,
  verify: (challenge: string) => Promise<T>,
): Promise<T | null> {
  const challenge = challengeIn(response.clientDataJSON)
  if (challenge === null || !(await takeChallenge(pool, challenge, personId))) return null
  try {
    return await verify(challenge)
  } catch {
    // The package throws whatever does not fit; nothing of ours runs in there.
    return null
  }
}

function challengeIn(clientDataJSON: string): string | null {
  try {
    const { challenge } = decodeClientDataJSON(clientDataJSON) as { challenge?: unknown }
    return typeof challenge === 'string' && challenge.length <= MAX_CHALLENGE ? challenge : null
  } catch {
    return null
  }
}

/** The guard has compared Origin and Host already, and knows the name. */
function requirePlace(event: H3Event): Place {
  const origin = getHeader(event, 'origin') ?? ''
  const host = namedHost(origin)
  if (host === null) throw new ApiError(409, 'needs-a-name', t('server.passkeyNeedsAName'))
  return { host, origin }
}
