import pg from 'pg'
import { command } from './command'
import type { TestHouse } from './house'

/** What carrying records from one workshop to another needs: its commands, and what stands in its tables. */

export const given = (house: TestHouse, script: string, ...args: string[]) =>
  command(script, args, { DATABASE_URL: house.cluster.adminUrl })
export async function query<T extends pg.QueryResultRow>(
  house: TestHouse,
  text: string,
  values: unknown[] = [],
): Promise<T[]> {
  const db = new pg.Client({ connectionString: house.cluster.adminUrl })
  await db.connect()
  try {
    return (await db.query<T>(text, values)).rows
  } finally {
    await db.end()
  }
}
/** Rows as text, in an order of their own; what is given anew where they arrive is left out. */
export const rowsOf = (house: TestHouse, table: string, without: string[] = []) =>
  query<{ row: unknown }>(
    house,
    `select to_jsonb(t) ${without.map(c => `- '${c}'`).join(' ')} as row from ${table} t
      order by (to_jsonb(t) ${without.map(c => `- '${c}'`).join(' ')})::text`,
  )
