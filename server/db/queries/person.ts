import type { Person, Role } from '#shared/people'
import type { Db } from '../pool'

const COLUMNS = 'id, name, role, active, pin_hash is not null as "hasPin", version'

/** Somebody with what proves who it is. */
export interface PersonSecrets {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly passwordHash: string
  readonly pinHash: string | null
}
const SECRETS = 'id, name, role, password_hash as "passwordHash", pin_hash as "pinHash"'

export async function selectPeople(db: Db): Promise<Person[]> {
  const { rows } = await db.query<Person>(`select ${COLUMNS} from person order by active desc, lower(name)`)
  return rows
}

/** Only who is active can sign in. */
export async function selectSecretsByName(db: Db, name: string): Promise<PersonSecrets | null> {
  const { rows } = await db.query<PersonSecrets>(
    `select ${SECRETS} from person where lower(name) = lower($1) and active`,
    [name],
  )
  return rows[0] ?? null
}

export async function selectSecrets(db: Db, id: string): Promise<PersonSecrets | null> {
  const { rows } = await db.query<PersonSecrets>(
    `select ${SECRETS} from person where id = $1::uuid and active`,
    [id],
  )
  return rows[0] ?? null
}

/** @returns false when this id is there already: the same request came twice */
export async function insertPerson(
  db: Db,
  p: { id: string; name: string; role: Role; passwordHash: string },
): Promise<boolean> {
  const { rowCount } = await db.query(
    `insert into person (id, name, role, password_hash) values ($1::uuid, $2, $3, $4)
      on conflict (id) do nothing`,
    [p.id, p.name, p.role, p.passwordHash],
  )
  return rowCount === 1
}

/** @returns null when the version is another by now, or nobody has this id */
export async function updatePerson(
  db: Db,
  id: string,
  { name, role, active, version }: Pick<Person, 'name' | 'role' | 'active' | 'version'>,
): Promise<Person | null> {
  const { rows } = await db.query<Person>(
    `update person set name = $2, role = $3, active = $4, version = version + 1
      where id = $1::uuid and version = $5 returning ${COLUMNS}`,
    [id, name, role, active, version],
  )
  return rows[0] ?? null
}

export async function updatePassword(db: Db, id: string, passwordHash: string): Promise<boolean> {
  const { rowCount } = await db.query('update person set password_hash = $2 where id = $1::uuid', [
    id,
    passwordHash,
  ])
  return rowCount === 1
}

export async function updatePin(db: Db, id: string, pinHash: string | null): Promise<void> {
  await db.query('update person set pin_hash = $2 where id = $1::uuid', [id, pinHash])
}

/** Owners that can sign in, locked until the transaction ends: one has to be left. */
export async function lockOwners(db: Db): Promise<string[]> {
  const { rows } = await db.query<{ id: string }>(
    `select id from person where role = 'owner' and active for update`,
  )
  return rows.map(r => r.id)
}
