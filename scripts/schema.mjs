import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { migrate } from './lib/migrate.mjs'
import { ensureNodeModules } from './lib/packages.mjs'
import { fromRoot } from './lib/paths.mjs'
import { startCluster } from './lib/postgres.mjs'

/** Writes docs/database.md and its picture from a database that has just been made. */
await ensureNodeModules()
const { readSchema, schemaPage, schemaPicture } = await import('./lib/schemaPage.mjs')
const { default: pg } = await import('pg')
const folder = mkdtempSync(join(tmpdir(), 'diapason-schema-'))
const cluster = await startCluster(folder, { throwAway: true })
try {
  await migrate(cluster.adminUrl)
  const client = new pg.Client({ connectionString: cluster.adminUrl })
  await client.connect()
  const schema = await readSchema(client)
  await client.end()
  writeFileSync(fromRoot('docs', 'database.md'), schemaPage(schema))
  writeFileSync(fromRoot('docs', 'database.svg'), schemaPicture(schema))
  console.log(`docs/database.md: ${schema.tables.size} tables`)
} finally {
  await cluster.stop()
  rmSync(folder, { recursive: true, force: true })
}
