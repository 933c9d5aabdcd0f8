import { readdirSync } from 'node:fs'
import { fromRoot } from './paths.mjs'

/** Number of the newest migration that this program knows. */
export const newestMigration = () =>
  Math.max(...readdirSync(fromRoot('server', 'db', 'migrations')).map(name => Number(name.split('.')[0])))

/**
 * Brings a database to the newest numbered migration. Each file runs in one transaction with its version row.
 */
export async function migrate(url) {
  const { default: pg } = await import('pg')
  const { default: Postgrator } = await import('postgrator')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    // Two launchers at once must not migrate twice.
    await client.query('select pg_advisory_lock(271001)')
    const postgrator = new Postgrator({
      migrationPattern: fromRoot('server', 'db', 'migrations', '*.sql'),
      driver: 'pg',
      schemaTable: 'schema_version',
      execQuery: query => client.query(query),
      execSqlScript: script => client.query(`begin;\n${script};\ncommit;`),
    })
    const applied = await postgrator.migrate()
    return applied.length
  } finally {
    await client.end()
  }
}
