import { restore } from './lib/backup.mjs'
import { dataFolder, markFolder } from './lib/dataFolder.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

const [file] = process.argv.slice(2)
if (!file) {
  console.error('npm run restore -- FILE')
  process.exit(2)
}
await ensureNodeModules()
const folder = dataFolder(false)
try {
  const tables = await restore(file, folder)
  markFolder(folder, false)
  const rows = Object.values(tables).reduce((sum, table) => sum + table.rows, 0)
  console.log(
    `Restored into ${folder}: ${tables.job.rows} jobs, ${tables.job_event.rows} entries. ` +
      `All ${Object.keys(tables).length} tables with ${rows} rows are equal to those of the backup.`,
  )
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
}
