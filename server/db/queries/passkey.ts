import type { Passkey } from '#shared/people'
import type { Db } from '../pool'

/** A challenge that was not answered for so long is answered no more. */
const ANSWERED_WITHIN = '5 minutes'

/** A passkey with what its answers are checked by. */
export interface PasskeyProof {
  readonly id: string
  readonly personId: string
  readonly credentialId: string
  readonly publicKey: Buffer
  readonly counter: number
  readonly host: string
}

/** Passkeys of a person, newest first. */
export async function selectPasskeys(db: Db, personId: string): Promise<Passkey[]> {
  const { rows } = await db.query<Passkey>(
    `select id, name, host, (extract(epoch from added_at) * 1000)::float8 as "addedAtMs",
       (extract(epoch from used_at) * 1000)::float8 as "usedAtMs"
     from passkey where person_id = $1::uuid order by added_at desc, id`,
    [personId],
  )
  return rows
}

/** What the devices of a person have for this name of the server. */
export async function selectCredentialIds(db: Db, personId: string, host: string): Promise<string[]> {
  const { rows } = await db.query<{ id: string }>(
    'select credential_id as id from passkey where person_id = $1::uuid and host = $2',
    [personId, host],
  )
  return rows.map(r => r.id)
}

/** Whether anybody signs in by a passkey under this name of the server. */
export async function hasPasskeys(db: Db, host: string): Promise<boolean> {
  const of = `select from passkey k join person p on p.id = k.person_id where k.host = $1 and p.active limit 1`
  return (await db.query(of, [host])).rowCount === 1
}

export async function selectProof(db: Db, credentialId: string): Promise<PasskeyProof | null> {
  const { rows } = await db.query<PasskeyProof>(
    `select id, person_id as "personId", credential_id as "credentialId", public_key as "publicKey",
       counter::float8 as counter, host from passkey where credential_id = $1`,
    [credentialId],
  )
  return rows[0] ?? null
}

/** @returns false when the device's key, or the id, is here already */
export async function insertPasskey(
  db: Db,
  k: Omit<PasskeyProof, 'publicKey'> & { name: string; publicKey: Uint8Array; transports: readonly string[] },
): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into passkey (id, person_id, name, host, credential_id, public_key, counter, transports)
     values ($1::uuid, $2::uuid, $3, $4, $5, $6, $7::bigint, $8::text[]) on conflict do nothing`,
    [k.id, k.personId, k.name, k.host, k.credentialId, Buffer.from(k.publicKey), k.counter, k.transports],
  )
  return rowCount === 1
}

export async function markUsed(db: Db, id: string, counter: number): Promise<void> {
  await db.query('update passkey set counter = $2::bigint, used_at = now() where id = $1::uuid', [
    id,
    counter,
  ])
}

/** @returns its name; null when this person has no such passkey */
export async function deletePasskey(db: Db, personId: string, id: string): Promise<string | null> {
  const { rows } = await db.query<{ name: string }>(
    'delete from passkey where id = $2::uuid and person_id = $1::uuid returning name',
    [personId, id],
  )
  return rows[0]?.name ?? null
}

export async function deletePasskeysOf(db: Db, personId: string): Promise<void> {
  await db.query('delete from passkey where person_id = $1::uuid', [personId])
}

/** @param personId who adds a passkey; null = somebody signs in */
export async function insertChallenge(db: Db, challenge: string, personId: string | null): Promise<void> {
  await db.query(`delete from passkey_challenge where asked_at < now() - interval '${ANSWERED_WITHIN}'`)
  await db.query('insert into passkey_challenge (challenge, person_id) values ($1, $2::uuid)', [
    challenge,
    personId,
  ])
}

/** Takes a challenge away, so that it is answered once. @returns whether it was open, for this purpose */
export async function takeChallenge(db: Db, challenge: string, personId: string | null): Promise<boolean> {
  const { rowCount } = await db.query(
    `delete from passkey_challenge where challenge = $1 and person_id is not distinct from $2::uuid
       and asked_at > now() - interval '${ANSWERED_WITHIN}'`,
    [challenge, personId],
  )
  return rowCount === 1
}
