import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { KeptRecording } from '../../shared/recording'
import { testHouse, type TestHouse } from './house'

const house = {} as TestHouse
beforeAll(async () => void Object.assign(house, await testHouse({ demo: false })))
afterAll(() => house.stop())

const OPTIONS = {
  as: 'am',
  nominalHz: 27_185_000,
  toneHz: null,
  spacingHz: 10_000,
  carrierW: 4,
  referencePpm: null,
  ruleSetId: 'R-US',
}
const bytes = Uint8Array.from({ length: 2_500_000 }, (_, n) => (n * 7) % 251)
const body = (jobId: string | null, change = {}) => ({
  id: crypto.randomUUID(),
  jobId,
  name: 'tone.wav',
  bytes: bytes.length,
  options: OPTIONS,
  measurement: { file: 'tone.wav', notes: [], health: {} },
  phase: 'as-found',
  pointId: 'tone-19',
  ...change,
})
const put = (id: string, ordinal: number, data: Uint8Array) =>
  fetch(`${house.address}/api/recordings/${id}/chunks/${ordinal}`, { method: 'PUT', body: data as BodyInit })
const CHUNK = 1024 * 1024

describe('a recording', () => {
  it('is kept in chunks, in any order, and comes back byte by byte', async () => {
    const jobId = await house.newJob()
    const b = body(jobId)
    expect((await house.request('POST', '/api/recordings', b)).status).toBe(201)
    expect((await house.request('POST', '/api/recordings', b)).status, 'sent twice').toBe(201)
    for (const ordinal of [2, 0])
      expect((await put(b.id, ordinal, bytes.slice(ordinal * CHUNK, (ordinal + 1) * CHUNK))).status).toBe(204)
    expect(await house.request('GET', `/api/recordings/${b.id}`)).toMatchObject({ status: 404 })
    expect((await house.request('POST', `/api/recordings/${b.id}/finish`, {})).error).toMatchObject({
      code: 'recording-incomplete',
    })
    await put(b.id, 1, bytes.slice(CHUNK, 2 * CHUNK))
    const kept = (await house.request('POST', `/api/recordings/${b.id}/finish`, {})).body as KeptRecording
    expect(kept).toMatchObject({
      name: 'tone.wav',
      bytes: bytes.length,
      options: OPTIONS,
      pointId: 'tone-19',
      phase: 'as-found',
    })
    const data = new Uint8Array(
      await (await fetch(`${house.address}/api/recordings/${b.id}/data`)).arrayBuffer(),
    )
    expect(Buffer.from(data).equals(Buffer.from(bytes))).toBe(true)
    expect((await house.request('GET', `/api/recordings?jobId=${jobId}`)).body).toMatchObject([{ id: b.id }])
    expect((await put(b.id, 0, bytes.slice(0, 10))).status, 'what is complete is not changed').toBe(404)
  })
  it.each([
    [{ bytes: 0 }, 'bytes'],
    [{ bytes: 300 * 1024 * 1024 }, 'bytes'],
    [{ name: '' }, 'name'],
    [{ options: { ...OPTIONS, as: 'pm' } }, 'options.as'],
    [{ measurement: 'x' }, 'measurement'],
    [{ phase: 'later' }, 'phase'],
  ])('with %j is refused by field', async (change, field) => {
    expect((await house.request('POST', '/api/recordings', body(null, change))).error).toMatchObject({
      code: 'invalid-field',
      field,
    })
  })
  it('that was begun and never sent whole is swept a day later, another one is not', async () => {
    const [left, fresh] = [body(null), body(null)]
    for (const b of [left, fresh]) {
      await house.request('POST', '/api/recordings', b)
      await put(b.id, 0, new Uint8Array(9))
    }
    const db = new pg.Client({ connectionString: house.cluster.adminUrl })
    await db.connect()
    await db.query("update recording set created_at = now() - interval '25 hours' where id = $1", [left.id])
    await house.request('POST', '/api/recordings', body(null))
    const { rows } = await db.query(
      'select recording_id as id from recording_chunk where recording_id = any($1)',
      [[left.id, fresh.id]],
    )
    await db.end()
    expect(rows).toEqual([{ id: fresh.id }])
    expect((await put(left.id, 0, new Uint8Array(9))).status).toBe(404)
  })
  it('of an unknown job, and chunks too large or without a recording, are refused in words', async () => {
    expect((await house.request('POST', '/api/recordings', body(crypto.randomUUID()))).error).toMatchObject({
      code: 'unknown-job',
    })
    const b = body(null)
    await house.request('POST', '/api/recordings', b)
    expect((await put(b.id, 0, new Uint8Array(CHUNK + 1))).status).toBe(413)
    expect((await put(b.id, -1, new Uint8Array(4))).status).toBe(400)
    expect((await put(crypto.randomUUID(), 0, new Uint8Array(4))).status).toBe(404)
  })
})
