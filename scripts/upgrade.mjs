import { dataFolder } from './lib/dataFolder.mjs'
import { claim } from './lib/house.mjs'
import { ensureNodeModules } from './lib/packages.mjs'
import { removeOld, upgradeCluster } from './lib/upgrade.mjs'

const [option] = process.argv.slice(2)
if (option !== undefined && option !== '--remove-old') {
  console.error('npm run upgrade, and later npm run upgrade -- --remove-old')
  process.exit(2)
}
if (process.env.DATABASE_URL) {
  console.error('DATABASE_URL names a PostgreSQL of your own: upgrade it with its own tools.')
  process.exit(2)
}
await ensureNodeModules()
const folder = dataFolder(false)
const claimed = claim(folder)
if (claimed.running) {
  console.error(`Diapason runs in ${folder}. Nothing was changed. Stop it first.`)
  process.exit(1)
}
try {
  console.log(option ? removed() : await upgraded())
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
} finally {
  claimed.release()
}

function removed() {
  const names = removeOld(folder)
  return names.length > 0
    ? `Removed from ${folder}: ${names.join(', ')}.`
    : `${folder} holds no old database.`
}

async function upgraded() {
  const done = await upgradeCluster(folder)
  if (!done)
    return `The database in ${folder} is of the newest PostgreSQL that is installed. Nothing was changed.`
  const { from, to, aside, tables } = done
  return (
    `PostgreSQL ${from} to ${to}: ${tables.job.rows} jobs, ${tables.job_event.rows} entries, every table equal. ` +
    `The old database is kept in ${aside}; when all is well: npm run upgrade -- --remove-old`
  )
}
