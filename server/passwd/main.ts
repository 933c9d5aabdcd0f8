import { randomInt } from 'node:crypto'
import { inTransaction, pool } from '../db/pool'
import { selectSecretsByName, updatePassword, updatePin } from '../db/queries/person'
import { deletePasskeysOf } from '../db/queries/passkey'
import { deleteBrowsersOf, deleteSessionsOf } from '../db/queries/session'
import { insertAudit } from '../db/queries/workshop'
import { hashed } from '../utils/secret'

/** Without letters that are taken for others. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789'
const GROUPS = 4
const say = (line: string) => process.stdout.write(`${line}\n`)

/** What `npm run passwd` does: a new password for somebody who has lost his, made here and said once. */
const [name = ''] = process.argv.slice(2)
const person = await selectSecretsByName(pool, name)
if (!person) {
  say(`Nobody of the name "${name}" can sign in here.`)
  process.exitCode = 1
} else {
  const password = Array.from({ length: GROUPS }, group).join('-')
  const passwordHash = await hashed(password)
  await inTransaction(async db => {
    await updatePassword(db, person.id, passwordHash)
    await updatePin(db, person.id, null)
    await deleteSessionsOf(db, person.id, null)
    await deleteBrowsersOf(db, person.id)
    await deletePasskeysOf(db, person.id)
    await insertAudit(db, 'password-changed', { personId: person.id, name: person.name }, 'npm run passwd')
  })
  say(`New password of ${person.name}: ${password}`)
  say('It is shown this once. Signed out everywhere; PIN and passkeys are gone.')
}
await pool.end()

function group(): string {
  return Array.from({ length: 4 }, () => LETTERS[randomInt(LETTERS.length)]).join('')
}
