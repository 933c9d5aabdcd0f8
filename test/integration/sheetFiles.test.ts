import { randomUUID } from 'node:crypto'
import pg from 'pg'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { compareSheets, fromTemplate, modelSheet, type ModelSheet } from '../../core/sheet'
import type { SheetFile } from '../../shared/sheetFile'
import { testHouse, type TestHouse } from './house'

/** One workshop in which sheets were written and corrected, and an empty one that takes them in. */
const house = {} as TestHouse
const other = {} as TestHouse
const mine = (change: Partial<ModelSheet> = {}): ModelSheet => ({
  ...fromTemplate('am-mobile', 'tern-5', 'Tern 5', '2026-11-25'),
  ...change,
})
beforeAll(async () => {
  Object.assign(house, await testHouse({ demo: false }))
  Object.assign(other, await testHouse({ demo: false }))
  await house.request('POST', '/api/sheets', { sheet: mine(), who: 'Ida', reason: 'new model' })
  for (const [i, load] of ['dry load', 'oil load'].entries())
    await house.request('PUT', '/api/sheets/tern-5', {
      from: i + 1,
      sheet: mine({ load }),
      who: 'Ida',
      reason: load,
    })
  const corrected = await house.request('POST', `/api/jobs/${await house.newJob()}/events`, {
    kind: 'sheet-amended',
    id: randomUUID(),
    atMs: Date.now(),
    changes: [{ line: 'adjuster/CT2/where', from: null, to: 'left of the two trimmers' }],
    reason: 'seen on the board',
    who: 'Ida',
  })
  expect(corrected.status).toBe(201)
})
afterAll(() => Promise.all([house.stop(), other.stop()]))

describe('a sheet as a file', () => {
  const exported = async (of: TestHouse, id: string) =>
    (await of.request('GET', `/api/sheets/${id}/file.json`)).body as SheetFile
  it('goes into an empty workshop and is equal there, revisions and picture of the board too', async () => {
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#567' } })
      .png()
      .toBuffer()
    const pictureId = randomUUID()
    expect(
      await fetch(`${house.address}/api/sheet-pictures/${pictureId}`, {
        method: 'PUT',
        body: new Uint8Array(picture),
      }),
    ).toMatchObject({ status: 201 })
    await house.request('PUT', '/api/sheets/tern-5', {
      from: 3,
      sheet: mine({ boards: [{ side: 'parts', drawing: null, pictureId }] }),
      who: 'Ida',
      reason: 'photo',
    })
    const file = await exported(house, 'tern-5')
    expect(file.revisions).toHaveLength(4)
    expect(await other.request('POST', '/api/sheets/import', file)).toMatchObject({
      status: 200,
      body: { id: 'tern-5', kind: 'new', revision: 4 },
    })
    expect(await exported(other, 'tern-5')).toEqual(file)
    expect(await other.request('POST', '/api/sheets/import', file)).toMatchObject({ body: { kind: 'same' } })
  })
  it('keeps no picture as it came that says where it was taken, or another size than it has', async () => {
    const photo = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#567' } })
      .withExif({ IFD3: { GPSLatitudeRef: 'N' } })
      .jpeg()
      .toBuffer()
    const bare = await sharp(photo).jpeg().toBuffer()
    const ids = [randomUUID(), randomUUID()]
    const pictures = [
      { id: ids[0], mime: 'image/jpeg', width: 40, height: 30, data: photo.toString('base64') },
      { id: ids[1], mime: 'image/jpeg', width: 4000, height: 30, data: bare.toString('base64') },
    ]
    const file = { ...(await exported(house, 'tern-5')), pictures }
    expect((await other.request('POST', '/api/sheets/import', file)).status).toBe(200)
    for (const id of ids) {
      const kept = await fetch(`${other.address}/api/sheet-pictures/${id}`)
      const metadata = await sharp(Buffer.from(await kept.arrayBuffer())).metadata()
      expect([metadata.width, metadata.exif]).toEqual([40, undefined])
    }
    const db = new pg.Client({ connectionString: other.cluster.adminUrl })
    await db.connect()
    const { rows } = await db.query('select width from sheet_picture where id = any($1)', [ids])
    await db.end()
    expect(rows).toEqual([{ width: 40 }, { width: 40 }])
  })
  it('of a model that ships goes on where the other workshop stands', async () => {
    const file = await exported(house, 'osmund-27f')
    expect(await other.request('POST', '/api/sheets/import', file)).toMatchObject({
      body: { kind: 'revision', revision: file.revisions.at(-1)!.sheet.revision },
    })
    expect((await exported(other, 'osmund-27f')).revisions.map(r => r.reason)).toEqual(
      file.revisions.map(r => r.reason),
    )
    expect(
      compareSheets((await exported(other, 'osmund-27f')).revisions[0]!.sheet, modelSheet('osmund-27f')),
    ).toEqual([])
  })
  it('of many revisions is read while everybody else works on; one without end is refused in words', async () => {
    const file = await exported(house, 'osmund-27f')
    const newest = file.revisions.at(-1)!
    const many = (n: number, id: string) =>
      Array.from({ length: n }, (_, i) => ({ ...newest, sheet: { ...newest.sheet, id, revision: i + 1 } }))
    let isDone = false
    const sent = other
      .request('POST', '/api/sheets/import', { ...file, revisions: many(150, 'osmund-many') })
      .finally(() => (isDone = true))
    let answered = 0
    while (!isDone) {
      expect((await other.request('GET', '/api/health')).status).toBe(200)
      answered++
    }
    expect(await sent).toMatchObject({ status: 200, body: { kind: 'new', revision: 150 } })
    // While the main thread read it, one or two were answered, before it and after.
    expect(answered).toBeGreaterThan(10)
    const numbers = `{"format":"${file.format}","version":1,"pictures":[],"revisions":[${'1,'.repeat(9e6)}1]}`
    const refused = await other.request('POST', '/api/sheets/import', numbers)
    expect([refused.status, refused.error?.code]).toEqual([400, 'invalid-field'])
  })
  it.each([
    ['no JSON', 'hello', 400],
    ['something else', { format: 'x' }, 400],
    ['a damaged sheet', null, 400],
    ['revisions of two sheets', undefined, 400],
  ])('%s is refused and nothing changes', async (what, body, status) => {
    const file = await exported(house, 'tern-5')
    const before = await exported(other, 'tern-5')
    const damaged =
      what === 'a damaged sheet'
        ? {
            ...file,
            revisions: [{ ...file.revisions[0]!, sheet: { ...file.revisions[0]!.sheet, kind: 'tv' } }],
          }
        : {
            ...file,
            revisions: [
              ...file.revisions,
              { ...file.revisions[0]!, sheet: { ...file.revisions[0]!.sheet, id: 'else' } },
            ],
          }
    expect(await other.request('POST', '/api/sheets/import', body ?? damaged)).toMatchObject({ status })
    expect(await exported(other, 'tern-5')).toEqual(before)
  })
})
