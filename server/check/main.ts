import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import { pool } from '../db/pool'
import { checkRecords } from './checkRecords'
import { refuseOtherSchema } from './refuseOtherSchema'

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
