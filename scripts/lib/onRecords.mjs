import { join } from 'node:path'
import { ensureBuilt } from './build.mjs'
import { dataFolder, isDemoFolder } from './dataFolder.mjs'
import { openDatabase } from './database.mjs'
import { newestMigration } from './migrate.mjs'
import { ensureNodeModules } from './packages.mjs'
import { OUTPUT } from './paths.mjs'
import { run } from './run.mjs'

/**
 * Runs a program of the server on the records of a workshop, whether that runs or not, as the owner of its
 * tables; the exit code is that of the program.
 * @param before done to the database first
 */
export async function onRecords(program, { args = [], before = async () => {} } = {}) {
  await ensureNodeModules()
  await ensureBuilt()
  try {
    const database = await openDatabase(dataFolder(false))
    try {
      await before(database.url)
      const { code } = await run(process.execPath, [join(OUTPUT, 'processes', program), ...args], {
        allowFailure: true,
        env: {
          ...process.env,
          DATABASE_URL: database.url,
          DIAPASON_DEMO: !process.env.DATABASE_URL && isDemoFolder(dataFolder(false)) ? '1' : '',
          // What changes nothing refuses a database of another version.
          DIAPASON_SCHEMA: String(newestMigration()),
        },
      })
      process.exitCode = code
    } finally {
      await database.close()
    }
  } catch (error) {
    console.error(error instanceof Error ? error.message : error)
    process.exitCode = 1
  }
}

/** Goes through everything that is kept, and changes nothing. */
export const checkRecords = () => onRecords('check.mjs')
