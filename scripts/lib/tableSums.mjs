/**
 * How many rows each table has, and a sum over all of them that does not depend on their order. Two databases
 * with equal sums hold the same rows (60 bits of a hash of each; chance, not malice, is what it rules out).
 * @param client in a transaction of its own, if the tables are in use
 */
export async function tableSums(client) {
  // A row as text is the same on every server only where these are.
  await client.query("set local timezone = 'UTC'")
  await client.query('set local extra_float_digits = 1')
  await client.query("set local bytea_output = 'hex'")
  const { rows } = await client.query(
    "select tablename from pg_tables where schemaname = 'public' order by tablename",
  )
  const sums = {}
  for (const { tablename } of rows) {
    const {
      rows: [sum],
    } = await client.query(
      `select count(*)::int as rows, coalesce(sum(('x' || left(md5(t::text), 15))::bit(60)::bigint), 0)::text ` +
        `as sum from public."${tablename}" t`,
    )
    sums[tablename] = sum
  }
  return sums
}

/** Tables that differ, in words; empty = equal, table by table. */
export function differences(wanted, found) {
  return [...new Set([...Object.keys(wanted), ...Object.keys(found)])].flatMap(table => {
    const [a, b] = [wanted[table], found[table]]
    if (a && b && a.rows === b.rows && a.sum === b.sum) return []
    return [`${table}: ${a?.rows ?? 'no'} rows in the backup, ${b?.rows ?? 'no'} restored, or other values`]
  })
}
