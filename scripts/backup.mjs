import { backup } from './lib/backup.mjs'
import { dataFolder } from './lib/dataFolder.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

const [file] = process.argv.slice(2)
if (!file) {
  console.error('npm run backup -- FILE')
  process.exit(2)
}
await ensureNodeModules()
const folder = dataFolder(false)
try {
  const tables = await backup(folder, file)
  const { job, job_event: events } = tables
  console.log(
    `${file}: ${job.rows} jobs, ${events.rows} entries of ${folder}, with everything that belongs to them.`,
  )
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
}
