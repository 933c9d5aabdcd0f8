import pg from 'pg'
import { log } from '../utils/log'

// node-postgres would give timestamps as Date, days as Date at local midnight and bigints as text.
pg.types.setTypeParser(pg.types.builtins.TIMESTAMPTZ, text => new Date(text).getTime())
pg.types.setTypeParser(pg.types.builtins.DATE, text => text)
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

/** The pool, or a client inside a transaction. */
export type Db = Pick<pg.Pool, 'query'>

export const pool = new pg.Pool({
  connectionString: process.env.DATABASE_URL,
  max: 8,
  connectionTimeoutMillis: 2000,
  query_timeout: 10_000,
})
pool.on('error', error => log.warn({ error: error.message }, 'idle database line lost'))

/** Runs work in one transaction: all of it or nothing. */
export async function inTransaction<T>(work: (db: Db) => Promise<T>): Promise<T> {
  const client = await pool.connect()
  try {
    await client.query('begin')
    const result = await work(client)
    await client.query('commit')
    client.release()
    return result
  } catch (error) {
    // A line that cannot even roll back is thrown away, not returned to the pool.
    const broken = await client.query('rollback').then(
      () => false,
      () => true,
    )
    client.release(broken)
    throw error
  }
}
