import { join } from 'node:path'
import { ensureBuilt } from './lib/build.mjs'
import { dataFolder } from './lib/dataFolder.mjs'
import { openDatabase } from './lib/database.mjs'
import { newestMigration } from './lib/migrate.mjs'
import { ensureNodeModules } from './lib/packages.mjs'
import { OUTPUT } from './lib/paths.mjs'
import { run } from './lib/run.mjs'

/** Goes through everything that is kept, of a workshop that runs or not. */
await ensureNodeModules()
await ensureBuilt()
try {
  const database = await openDatabase(dataFolder(false))
  try {
    const env = {
      ...process.env,
      DATABASE_URL: database.url,
      DIAPASON_SCHEMA: String(newestMigration()),
    }
    const { code } = await run(process.execPath, [join(OUTPUT, 'processes', 'check.mjs')], {
      allowFailure: true,
      env,
    })
    process.exitCode = code
  } finally {
    await database.close()
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
}
