import { join } from 'node:path'
import { ensureBuilt } from './lib/build.mjs'
import { dataFolder } from './lib/dataFolder.mjs'
import { openDatabase } from './lib/database.mjs'
import { migrate } from './lib/migrate.mjs'
import { ensureNodeModules } from './lib/packages.mjs'
import { OUTPUT } from './lib/paths.mjs'
import { run } from './lib/run.mjs'

const [owner, reason, really] = process.argv.slice(2)
if (!owner || !reason || (really !== undefined && really !== '--yes')) {
  console.error('npm run erase -- OWNER REASON, which shows what would be done; then the same with --yes')
  process.exit(2)
}
await ensureNodeModules()
await ensureBuilt()
try {
  const database = await openDatabase(dataFolder(false))
  try {
    await migrate(database.url)
    const program = join(OUTPUT, 'processes', 'erase.mjs')
    const args = [program, owner, reason, ...(really ? [really] : [])]
    const { code } = await run(process.execPath, args, {
      allowFailure: true,
      env: { ...process.env, DATABASE_URL: database.url },
    })
    process.exitCode = code
  } finally {
    await database.close()
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
}
