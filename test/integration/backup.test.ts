import { randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startHouse } from '../../scripts/lib/house.mjs'
import { fmRow } from '../fixtures/fmRow'
import { command as given } from './command'
import { INTAKE } from './house'

/** A workshop that is backed up while it works, lost, and brought back: by the commands a person gives. */
const folderOfTests = mkdtempSync(join(tmpdir(), 'diapason-backup-'))
const at = (name: string) => join(folderOfTests, name)
const file = at('kept.diapason')
const KEY = 'of the workshop, for tablets'
let house: Awaited<ReturnType<typeof startHouse>>

const command = (script: string, folder: string, ...args: string[]) =>
  given(script, args, { DIAPASON_DATA: folder })
const start = (folder: string) => startHouse({ folder, demo: false, throwAway: true })
async function request(method: string, path: string, body?: unknown): Promise<unknown> {
  const answer = await fetch(house.address + path, {
    method,
    ...(body === undefined
      ? {}
      : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
  })
  expect(answer.status, `${method} ${path}`).toBeLessThan(300)
  return answer.json()
}
const note = (jobId: string, text: string) =>
  request('POST', `/api/jobs/${jobId}/events`, {
    kind: 'note',
    id: randomUUID(),
    atMs: 1_795_000_000_000,
    stepId: null,
    text,
  })
async function newJob(owner: string): Promise<string> {
  const id = randomUUID()
  await request('POST', '/api/jobs', { ...INTAKE, owner, id })
  return id
}

let jobId: string
let whole: unknown
beforeAll(async () => {
  house = await start(at('workshop'))
  jobId = await newJob('Barge Heron')
  await note(jobId, 'preset cleaned; \u0431\u0440\u0430\u0442\u044c, 100 \u00b5V, \u201cquoted\u201d')
  await request('POST', `/api/jobs/${jobId}/events`, fmRow())
  whole = await request('GET', `/api/jobs/${jobId}`)
}, 240_000)
afterAll(async () => {
  await house.stop()
  rmSync(folderOfTests, { recursive: true, force: true })
})

describe('A backup', () => {
  it('is taken while the workshop works, is one file, and says what is in it', async () => {
    mkdirSync(join(at('workshop'), 'tls'))
    writeFileSync(join(at('workshop'), 'tls', 'authority.key'), KEY, { mode: 0o600 })
    const { status, said } = await command('backup', at('workshop'), file)
    expect([status, said]).toEqual([0, expect.stringMatching(/: 1 jobs, 2 entries of /)])
    expect(existsSync(`${file}.part.d`)).toBe(false)
    // What comes afterwards is not in it.
    await newJob('Barge Coot')
  })

  it('does not overwrite another', async () => {
    const before = readFileSync(file)
    const { status, said } = await command('backup', at('workshop'), file)
    expect([status, said]).toEqual([1, expect.stringMatching(/is there already\. Nothing was written/)])
    expect(readFileSync(file).equals(before)).toBe(true)
  })

  it('is not restored over a workshop', async () => {
    const { status, said } = await command('restore', at('workshop'), file)
    expect([status, said]).toEqual([
      1,
      expect.stringMatching(/holds a database already\. Nothing was changed/),
    ])
  })

  it('that is damaged, or none, is refused, and leaves nothing behind', async () => {
    const bytes = readFileSync(file)
    bytes[bytes.length >> 1]! ^= 1
    writeFileSync(at('damaged'), bytes)
    writeFileSync(at('none'), 'a letter')
    expect((await command('restore', at('empty'), at('damaged'))).said).toMatch(/is damaged: its checksum/)
    expect((await command('restore', at('empty'), at('none'))).said).toMatch(/is no backup of Diapason/)
    expect((await command('restore', at('empty'), at('missing'))).said).toMatch(/is no backup of Diapason/)
    expect(existsSync(join(at('empty'), 'pg'))).toBe(false)
  })

  it('brings a lost workshop back, equal table by table, and work goes on', async () => {
    await house.stop()
    rmSync(at('workshop'), { recursive: true })
    const { status, said } = await command('restore', at('again'), file)
    expect([status, said]).toEqual([
      0,
      expect.stringMatching(/1 jobs, 2 entries.* are equal to those of the backup/s),
    ])
    const key = join(at('again'), 'tls', 'authority.key')
    expect([readFileSync(key, 'utf8'), statSync(key).mode & 0o777]).toEqual([KEY, 0o600])
    house = await start(at('again'))
    expect(await request('GET', `/api/jobs/${jobId}`)).toEqual(whole)
    await note(jobId, 'goes on')
    const next = await newJob('Barge Moorhen')
    const numberOf = async (id: string) =>
      ((await request('GET', `/api/jobs/${id}`)) as { job: { number: number } }).job.number
    expect(await numberOf(next)).toBeGreaterThan(await numberOf(jobId))
  })

  it('is checked whole; what was entered cannot be changed, and a change behind its back shows', async () => {
    const whole = await command('check', at('again'))
    expect([whole.status, whole.said]).toEqual([
      0,
      expect.stringMatching(/2 jobs, 3 entries, 0 photos .*: whole\./),
    ])
    const db = new pg.Client(house.cluster!.adminUrl)
    await db.connect()
    for (const change of [
      "update job_event set body = '{}'",
      'delete from job_event',
      'truncate job_event cascade',
      'update reading set value_si = 0',
      'delete from reading',
      'truncate reading',
    ])
      await expect(db.query(change), change).rejects.toThrow(/never changed or removed/)
    await db.query('alter table job_event disable trigger all')
    await db.query(
      `update job_event set body = jsonb_set(body, '{text}', '"never said"') where job_id = $1`,
      [jobId],
    )
    await db.query('alter table job_event enable trigger all')
    await db.end()
    const changed = await command('check', at('again'))
    expect([changed.status, changed.said]).toEqual([
      1,
      expect.stringMatching(/W-0001: entry .* is not as it was stored, or one before it is missing/),
    ])
  })

  it('that was not restored to its end is not worked on; the restore begins anew', async () => {
    // As a restore leaves it that was stopped: a cluster, and the mark that it is not proved.
    expect((await command('restore', at('half'), file)).status).toBe(0)
    writeFileSync(join(at('half'), 'pg.restoring'), '')
    await expect(start(at('half'))).rejects.toThrow(/did not end: what is there is not the whole backup/)
    expect((await command('restore', at('half'), file)).status).toBe(0)
  })
})
