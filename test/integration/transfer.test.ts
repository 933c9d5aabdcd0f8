import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import * as transfer from '../../server/db/queries/transfer'
import { fmRow } from '../fixtures/fmRow'
import { given, query, rowsOf } from './carrying'
import { testHouse, type TestHouse } from './house'

/** Two workshops: one with years of records, and one that takes them in and goes on by itself. */
let old: TestHouse
let young: TestHouse
const folder = mkdtempSync(join(tmpdir(), 'diapason-transfer-'))
const at = (name: string) => join(folder, name)
beforeAll(async () => {
  ;[old, young] = await Promise.all([testHouse(), testHouse({ demo: false })])
  const [job] = await query<{ id: string }>(old, 'select id from job where number = 229')
  await photo(old, job!.id)
}, 240_000)
afterAll(async () => {
  await Promise.all([old?.stop(), young?.stop()])
  rmSync(folder, { recursive: true, force: true })
})

/** A photo, longer than one piece of it in the database. */
async function photo(house: TestHouse, jobId: string): Promise<void> {
  const noise = { type: 'gaussian', mean: 128, sigma: 60 } as const
  const data = await sharp({ create: { width: 900, height: 900, channels: 3, background: '#7a8', noise } })
    .jpeg()
    .toBuffer()
  const kept = new URLSearchParams({ id: randomUUID(), kind: 'photo', about: '', name: 'board.jpg' })
  const { status } = await fetch(`${house.address}/api/jobs/${jobId}/attachments?${kept}`, {
    method: 'POST',
    body: new Uint8Array(data),
  })
  expect(status).toBe(201)
}

const onBench = (house: TestHouse) =>
  query<{ id: string }>(
    house,
    "select id from job where on_bench and sheet_id = 'osmund-27f' order by number limit 1",
  )
const note = (text: string) => ({ kind: 'note', id: randomUUID(), atMs: Date.now(), stepId: null, text })
const add = async (house: TestHouse, jobId: string, event: object) =>
  expect((await house.request('POST', `/api/jobs/${jobId}/events`, event)).status).toBe(201)
const exported = async (house: TestHouse, name: string) => {
  const file = at(name)
  expect(await given(house, 'export', file)).toMatchObject({ status: 0 })
  return file
}

describe('An archive of a workshop', () => {
  it('leaves no table out that nobody has spoken of', async () => {
    const tables = await query<{ name: string }>(
      old,
      "select tablename as name from pg_tables where schemaname = 'public'",
    )
    const spokenOf = [
      ...transfer.TABLES_OF_JOB,
      ...transfer.TABLES_OF_WORKSHOP,
      ...transfer.TABLES_BESIDE,
      ...transfer.TABLES_THAT_STAY,
    ]
    expect(tables.map(t => t.name).sort()).toEqual([...spokenOf].sort())
  })

  it('is one file for its owner alone, and overwrites none', async () => {
    const file = await exported(old, 'whole')
    expect(statSync(file).mode & 0o777).toBe(0o600)
    expect(await given(old, 'export', file)).toMatchObject({
      status: 1,
      said: expect.stringContaining('is there already. Nothing was written.') as string,
    })
    expect((await given(old, 'export')).status).toBe(2)
  })

  it('is told first with all that would be done, and nothing is changed, numbers neither', async () => {
    const { status, said } = await given(young, 'import', at('whole'))
    expect([status, said]).toEqual([0, expect.stringMatching(/jobs are new.*[\s\S]*Nothing was changed/)])
    expect(await query(young, 'select from job')).toEqual([])
    const id = await young.newJob({ owner: 'Barge Coot' })
    const { job } = (await young.request('GET', `/api/jobs/${id}`)).body as { job: { number: number } }
    expect(job.number).toBe(1)
  })

  it('is taken in whole: every row and every byte; search and history know it', async () => {
    expect((await given(young, 'import', at('whole'), '--yes')).status).toBe(0)
    for (const table of [...transfer.TABLES_OF_JOB, 'reading', 'attachment_chunk', 'recording_chunk'])
      expect(await rowsOf(young, table), table).toEqual(await rowsOf(old, table))
    // Received is when it came here; the chain is the same, link by link.
    const anew = ['seq', 'received_at']
    expect(await rowsOf(young, 'job_event', anew)).toEqual(await rowsOf(old, 'job_event', anew))
    const whole = await rowsOf(old, 'job')
    expect(await rowsOf(young, 'job')).toEqual(expect.arrayContaining(whole))
    for (const table of transfer.TABLES_OF_WORKSHOP.filter(t => t !== 'instrument'))
      expect(await rowsOf(young, table), table).toEqual(await rowsOf(old, table))
    const checked = await given(young, 'check')
    expect([checked.status, checked.said]).toEqual([0, expect.stringContaining(': whole.')])
    const { jobs } = (await young.request('GET', '/api/search?words=quarry')).body as {
      jobs: { number: number }[]
    }
    expect(jobs.map(j => j.number)).toContain(229)
  })

  it('taken in again changes nothing; the next job has a number beyond', async () => {
    const before = await rowsOf(young, 'job')
    const again = await given(young, 'import', at('whole'), '--yes')
    expect([again.status, again.said]).toEqual([0, expect.stringMatching(/^0 jobs are new, 0 go on/m)])
    expect(again.said).toContain('0 entries, 0 files')
    expect(await rowsOf(young, 'job')).toEqual(before)
    const id = await young.newJob()
    const { job } = (await young.request('GET', `/api/jobs/${id}`)).body as { job: { number: number } }
    const [{ most }] = (await query<{ most: number }>(old, 'select max(number) as most from job')) as [
      { most: number },
    ]
    expect(job.number).toBe(most + 1)
  })
})

describe('Two workshops that work on', () => {
  it('join: a job goes on where the other left it, a taken number is told, ours is never changed', async () => {
    const [first] = await onBench(old)
    const id = first!.id
    await add(old, id, note('measured at the branch'))
    await add(old, id, fmRow())
    const mine = await young.newJob({ owner: 'Barge Moorhen' })
    const theirs = await old.newJob({ owner: 'Barge Heron' })
    await young.request('PATCH', `/api/jobs/${id}`, { version: 1, contact: 'rings in the morning' })
    const file = await exported(old, 'later')
    const { status, said } = await given(young, 'import', file, '--yes')
    expect([status, said]).toEqual([0, expect.stringMatching(/^1 jobs are new, 1 go on/m)])
    expect(said).toMatch(/W-\d+ is W-\d+ here: the number was taken/)
    expect(said).toMatch(/: the contact differs; ours stays as it is/)
    const { job, events } = (await young.request('GET', `/api/jobs/${id}`)).body as {
      job: { contact: string }
      events: { kind: string; text?: string }[]
    }
    expect(job.contact).toBe('rings in the morning')
    expect(events.slice(-2).map(e => e.kind)).toEqual(['note', 'row-taken'])
    const numbers = await query<{ id: string; number: number }>(young, 'select id, number from job')
    const numberOf = (wanted: string) => numbers.find(j => j.id === wanted)!.number
    expect(numberOf(theirs)).toBeGreaterThan(numberOf(mine))
    expect((await given(young, 'check')).status).toBe(0)
  })

  it('do not mix a job that went on on both sides: ours stays, and it is named', async () => {
    const [first] = await onBench(old)
    await add(old, first!.id, note('said there'))
    await add(young, first!.id, note('said here'))
    const file = await exported(old, 'apart')
    const { status, said } = await given(young, 'import', file, '--yes')
    expect([status, said]).toEqual([0, expect.stringContaining('entered on both sides since')])
    const { events } = (await young.request('GET', `/api/jobs/${first!.id}`)).body as {
      events: { text?: string }[]
    }
    expect(events.map(e => e.text)).toContain('said here')
    expect(events.map(e => e.text)).not.toContain('said there')
  })

  it('join: a job that went further here gets the photos that were taken there', async () => {
    const id = await old.newJob({ owner: 'Barge Grebe' })
    expect((await given(young, 'import', await exported(old, 'grebe'), '--yes')).status).toBe(0)
    await add(young, id, note('further here'))
    await photo(old, id)
    const { said } = await given(young, 'import', await exported(old, 'photo'), '--yes')
    expect(said).toMatch(/^0 jobs are new, 1 go on/m)
    expect(said).toContain('0 entries, 1 files')
    const photos = await query(young, 'select from attachment where job_id = $1', [id])
    expect(photos).toHaveLength(1)
    expect((await given(young, 'check')).status).toBe(0)
  })

  it('join: a set that was handed over there is on no bench here', async () => {
    const id = await old.newJob({ owner: 'Barge Dabchick' })
    expect((await given(young, 'import', await exported(old, 'begun'), '--yes')).status).toBe(0)
    await add(old, id, { kind: 'handed-over', id: randomUUID(), atMs: Date.now(), text: '' })
    const { said } = await given(young, 'import', await exported(old, 'ended'), '--yes')
    expect(said).toMatch(/^0 jobs are new, 1 go on/m)
    expect(await query(young, 'select on_bench from job where id = $1', [id])).toEqual([{ on_bench: false }])
  })

  it('do not bring back an owner who was erased here on request', async () => {
    const owner = 'Slate quarry, lorry 4 (Ilse Harrow)'
    expect((await given(young, 'erase', owner, 'asked by letter', '--yes')).status).toBe(0)
    const kept = () =>
      query<{ owner: string; papers: number }>(
        young,
        `select owner, (select count(*)::int from handover_paper p where p.job_id = job.id) as papers
          from job where number = 229`,
      )
    expect(await kept()).toEqual([{ owner: '\u2013', papers: 0 }])
    const { status, said } = await given(young, 'import', at('whole'), '--yes')
    expect([status, said]).toEqual([
      0,
      expect.stringContaining('W-0229: the owner differs; ours stays as it is'),
    ])
    expect(await kept()).toEqual([{ owner: '\u2013', papers: 0 }])
    expect((await given(young, 'check')).status).toBe(0)
  })

  it('with another sheet under the same number do not judge by the wrong one', async () => {
    for (const house of [old, young]) await revised(house, 1, 'Osmund special')
    const before = await old.newJob({ sheetId: 'own-set' })
    await revised(old, 2, 'Osmund special, corrected there')
    await revised(young, 2, 'Osmund special, corrected here')
    const after = await old.newJob({ sheetId: 'own-set' })
    const { status, said } = await given(young, 'import', await exported(old, 'sheets'), '--yes')
    expect([status, said]).toEqual([
      0,
      expect.stringMatching(/not taken in: sheet own-set, revision 2, is another one here/),
    ])
    expect(said).toContain('sheet own-set, revision 2, is another one here: ours stays')
    // A job of a revision before the two went apart is none the worse.
    expect(await query(young, `select id from job where id in ('${before}', '${after}')`)).toEqual([
      { id: before },
    ])
    expect((await given(young, 'check')).status).toBe(0)
  })
})

/** A sheet of the workshop's own, under a name that the other uses too. */
async function revised(house: TestHouse, revision: number, model: string): Promise<void> {
  const file = (await house.request('GET', '/api/sheets/osmund-27f/file.json')).body as {
    revisions: { sheet: object }[]
  }
  const sheet = { ...file.revisions.at(-1)!.sheet, id: 'own-set', revision, model }
  await query(house, "insert into sheet_revision (sheet_id, revision, body) values ('own-set', $1, $2)", [
    revision,
    JSON.stringify(sheet),
  ])
}
