import { importFrom } from './lib/archive.mjs'
import { dataFolder } from './lib/dataFolder.mjs'
import { claim } from './lib/house.mjs'
import { migrate } from './lib/migrate.mjs'

const [file, yes, ...more] = process.argv.slice(2)
const really = yes === '--yes'
if (!file || more.length > 0 || (yes !== undefined && !really)) {
  console.error(
    'npm run import -- ARCHIVE or TABLE.csv, which shows what would be done; then the same with --yes',
  )
  process.exit(2)
}
// Nobody enters anything while numbers are given and jobs are joined.
const claimed = really && !process.env.DATABASE_URL ? claim(dataFolder(false)) : null
if (claimed?.running) {
  console.error('Diapason runs. Stop it, then import. Nothing was changed.')
  process.exit(1)
}
try {
  await importFrom(file, { really, before: migrate })
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
} finally {
  claimed?.release()
}
