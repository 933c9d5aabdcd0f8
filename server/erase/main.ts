import { pool } from '../db/pool'
import { eraseOwner } from './eraseOwner'

/** What `npm run erase` does and says. */
const [owner = '', reason = '', really] = process.argv.slice(2)
const say = (line: string) => process.stdout.write(`${line}\n`)
const jobs = await eraseOwner(owner, reason, really === '--yes')
for (const { tag, what, mentions } of jobs) {
  say(`${tag}  ${what}`)
  for (const mention of mentions) say(`    holds a word of the name still: ${mention.slice(0, 200)}`)
}
if (jobs.length === 0) say(`No job has the owner "${owner}".`)
else if (really === '--yes')
  say(
    `Erased from ${jobs.length} jobs: name, contact, frozen records, printed copies. ` +
      'What was entered is never changed: photos, recordings and the texts above stay. ' +
      'Backups taken before hold the name until they are removed.',
  )
else
  say(
    `Nothing was changed. To erase the owner of these ${jobs.length} jobs: ` +
      'npm run erase -- OWNER REASON --yes',
  )
await pool.end()
process.exitCode = jobs.length === 0 ? 1 : 0
