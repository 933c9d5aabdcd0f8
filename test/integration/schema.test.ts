import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { readSchema, schemaPage, schemaPicture } from '../../scripts/lib/schemaPage.mjs'
import { testHouse, type TestHouse } from './house'

const DOCS = join(import.meta.dirname, '..', '..', 'docs')
let house: TestHouse

beforeAll(async () => {
  house = await testHouse({ demo: false })
})
afterAll(async () => {
  await house.stop()
})

it('the page and the picture of the tables are what the database says', async () => {
  const client = new pg.Client({ connectionString: house.cluster.adminUrl })
  await client.connect()
  const schema = await readSchema(client)
  await client.end()
  expect(schema.tables.size).toBeGreaterThan(10)
  expect(readFileSync(join(DOCS, 'database.md'), 'utf8')).toBe(schemaPage(schema))
  expect(readFileSync(join(DOCS, 'database.svg'), 'utf8')).toBe(schemaPicture(schema))
})
