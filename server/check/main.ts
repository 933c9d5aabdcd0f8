import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import { pool } from '../db/pool'
import { selectSchemaVersion } from '../db/queries/check'
import { checkRecords } from './checkRecords'

provideEveryLanguage()
await refuseOtherSchema()

/** What `npm run check` says; ends with 1 when something is wrong. */
const { jobs, entries, unchained, files, problems } = await checkRecords()
const say = (words: string) => process.stdout.write(`${words}\n`)
problems.forEach(say)
say(
  `${jobs} jobs, ${entries} entries, ${files} photos and recordings: ` +
    (problems.length === 0 ? 'whole.' : `${problems.length} problems.`),
)
if (unchained > 0)
  say(`${unchained} entries are of an earlier version and not chained: a change of them would not show.`)
await pool.end()
process.exitCode = problems.length === 0 ? 0 : 1

/** A check changes nothing: an older database is brought forward by a start, not by this. */
async function refuseOtherSchema() {
  const wanted = Number(process.env.DIAPASON_SCHEMA)
  const found = await selectSchemaVersion(pool)
  if (found === wanted) return
  const advice = found < wanted ? 'Start Diapason once, then check.' : 'Update Diapason, then check.'
  process.stdout.write(`The database is of version ${found}, this program of ${wanted}. ${advice}\n`)
  process.exit(1)
}
