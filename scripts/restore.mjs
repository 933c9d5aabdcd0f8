import { restore } from './lib/backup.mjs'
import { dataFolder, markFolder } from './lib/dataFolder.mjs'
import { claim } from './lib/house.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

const [file] = process.argv.slice(2)
if (!file) {
  console.error('npm run restore -- FILE')
  process.exit(2)
}
await ensureNodeModules()
const folder = dataFolder(false)
const claimed = claim(folder)
if (claimed.running) {
  console.error(`Diapason, or another restore, runs in ${folder}. Nothing was changed.`)
  process.exit(1)
}
try {
  markFolder(folder, false)
  const tables = await restore(file, folder)
  const rows = Object.values(tables).reduce((sum, table) => sum + table.rows, 0)
  console.log(
    `Restored into ${folder}: ${tables.job.rows} jobs, ${tables.job_event.rows} entries. ` +
      `All ${Object.keys(tables).length} tables with ${rows} rows are equal to those of the backup.`,
  )
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
} finally {
  claimed.release()
}
