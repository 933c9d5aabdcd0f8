import { parseArgs } from 'node:util'
import { restore } from './lib/backup.mjs'
import { dataFolder, markFolder } from './lib/dataFolder.mjs'
import { claim } from './lib/house.mjs'
import { restoreUntil } from './lib/pointInTime.mjs'
import { checkRecords } from './lib/onRecords.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

const asked = askedFor(process.argv.slice(2))
if (!asked) {
  console.error(
    'npm run restore -- FILE\nnpm run restore -- --archive FOLDER [--until "2026-11-29 14:03"]  (time of this machine)',
  )
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
  if (asked.archive) await fromArchive()
  else await fromFile()
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
} finally {
  claimed.release()
}

async function fromFile() {
  const tables = await restore(asked.file, folder)
  const rows = Object.values(tables).reduce((sum, table) => sum + table.rows, 0)
  console.log(
    `Restored into ${folder}: ${tables.job.rows} jobs, ${tables.job_event.rows} entries. ` +
      `All ${Object.keys(tables).length} tables with ${rows} rows are equal to those of the backup.`,
  )
}

/** No sums of that moment were ever taken: what proves it are the chains of the entries themselves. */
async function fromArchive() {
  const lastAt = await restoreUntil(asked.archive, folder, asked.untilMs)
  console.log(`Brought back into ${folder}, up to the last change at ${lastAt ?? 'the time of the copy'}.`)
  await checkRecords()
}

/** @returns null for what cannot be meant */
function askedFor(args) {
  const options = { archive: { type: 'string' }, until: { type: 'string' } }
  try {
    const { values, positionals } = parseArgs({ args, options, allowPositionals: true })
    const untilMs = values.until === undefined ? null : Date.parse(values.until)
    const isFile = positionals.length === 1 && !values.archive && untilMs === null
    const isArchive = positionals.length === 0 && values.archive && !Number.isNaN(untilMs)
    return isFile || isArchive ? { file: positionals[0], archive: values.archive, untilMs } : null
  } catch {
    return null
  }
}
