import type { Author } from '#core/run'
import type { Role, SignedIn } from '#shared/people'
import type { Db } from '../pool'

/** A session ends by itself when it was not used for so long, and so long after it began, used or not. */
const IDLE = '12 hours'
const LONGEST = '7 days'
/** A browser that nobody used for so long asks for the password again. */
const BROWSER = '90 days'
const LIVES = `s.seen_at > now() - interval '${IDLE}' and s.begun_at > now() - interval '${LONGEST}'`

/** The workshop, and who a cookie belongs to. */
export interface Entrance {
  readonly workshop: string | null
  readonly signIn: boolean
  readonly ruleSetId: string | null
  readonly person: SignedIn | null
  /** the session is to be marked as seen: once in some minutes, not with every request */
  readonly isUnmarked: boolean
}

interface EntranceRow extends Partial<SignedIn> {
  readonly workshop: string | null
  readonly signIn: boolean | null
  readonly ruleSetId: string | null
  readonly isUnmarked: boolean | null
}

export async function selectEntrance(db: Db, tokenHash: Buffer | null): Promise<Entrance> {
  const {
    rows: [row],
  } = await db.query<EntranceRow>(
    `select w.name as workshop, w.sign_in as "signIn", w.rule_set_id as "ruleSetId", p.id as "personId", p.name, p.role,
       s.seen_at < now() - interval '5 minutes' as "isUnmarked"
     from (select 1) as always left join workshop w on true
     left join session s on s.token_hash = $1 and ${LIVES}
     left join person p on p.id = s.person_id and p.active`,
    [tokenHash],
  )
  const { personId, name, role } = row!
  return {
    workshop: row!.workshop,
    signIn: row!.signIn === true,
    ruleSetId: row!.ruleSetId,
    person: personId ? { personId, name: name!, role: role as Role } : null,
    isUnmarked: row!.isUnmarked === true,
  }
}

export async function insertSession(db: Db, tokenHash: Buffer, personId: string): Promise<void> {
  await db.query('insert into session (token_hash, person_id) values ($1, $2::uuid)', [tokenHash, personId])
  await db.query(`delete from session s where not (${LIVES})`)
}

export async function markSeen(db: Db, tokenHash: Buffer): Promise<void> {
  await db.query('update session set seen_at = now() where token_hash = $1', [tokenHash])
}

export async function deleteSession(db: Db, tokenHash: Buffer): Promise<void> {
  await db.query('delete from session where token_hash = $1', [tokenHash])
}

/** Everywhere but here, or everywhere. */
export async function deleteSessionsOf(db: Db, personId: string, but: Buffer | null): Promise<void> {
  await db.query('delete from session where person_id = $1::uuid and token_hash is distinct from $2', [
    personId,
    but,
  ])
}

export async function upsertBrowser(db: Db, tokenHash: Buffer, personId: string): Promise<void> {
  await db.query(
    `insert into known_browser (token_hash, person_id) values ($1, $2::uuid)
     on conflict (token_hash, person_id) do update set seen_at = now()`,
    [tokenHash, personId],
  )
}

/** Who may sign in by PIN in a browser. */
export async function selectKnown(db: Db, tokenHash: Buffer): Promise<Author[]> {
  const { rows } = await db.query<Author>(
    `select p.id as "personId", p.name from known_browser b join person p on p.id = b.person_id
     where b.token_hash = $1 and b.seen_at > now() - interval '${BROWSER}' and p.active and p.pin_hash is not null
     order by lower(p.name)`,
    [tokenHash],
  )
  return rows
}

/** A password that was changed asks for itself again in every browser. */
export async function deleteBrowsersOf(db: Db, personId: string): Promise<void> {
  await db.query('delete from known_browser where person_id = $1::uuid', [personId])
}
