import type { PartTested } from '#core/run'
import type { Db } from '../pool'

interface Row {
  id: string
  atMs: number
  body: Omit<PartTested, 'id' | 'atMs' | 'kind'>
}

const LISTED = 300

/** Tests of loose parts, the newest first. */
export async function selectDrawerParts(db: Db): Promise<PartTested[]> {
  const { rows } = await db.query<Row>(
    `select id, (extract(epoch from tested_at) * 1000)::float8 as "atMs", body from drawer_part
      order by tested_at desc limit $1::int`,
    [LISTED],
  )
  return rows.map(({ id, atMs, body }) => ({ ...body, kind: 'part-tested', id, atMs }))
}

/** Sent twice it is kept once. */
export async function insertDrawerPart(
  db: Db,
  { id, atMs, kind: _kind, ...body }: PartTested,
): Promise<void> {
  await db.query(
    `insert into drawer_part (id, tested_at, body) values ($1::uuid, to_timestamp($2::float8 / 1000),
      $3::jsonb) on conflict (id) do nothing`,
    [id, atMs, JSON.stringify(body)],
  )
}
