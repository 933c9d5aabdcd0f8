import { randomUUID } from 'node:crypto'
import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startHouse } from '../../scripts/lib/house.mjs'
import { binFor } from '../../scripts/lib/pgPrograms.mjs'
import { archiveFolder, keepCopies } from '../../scripts/lib/walArchive.mjs'
import { command as given } from './command'
import { INTAKE } from './house'

/** A workshop whose log is archived, and brought back as it was at a moment, by a command. */
const folderOfTests = mkdtempSync(join(tmpdir(), 'diapason-moment-'))
const at = (name: string) => join(folderOfTests, name)
const archive = at('archive')
const data = join(at('workshop'), 'pg')
const start = (folder: string, to: string | null = null) =>
  startHouse({ folder, demo: false, throwAway: true, archive: to })
const restore = (folder: string, ...args: string[]) =>
  given('restore', ['--archive', archive, ...args], { DIAPASON_DATA: folder })
const copy = (url: string, nowMs?: number, of = data) => keepCopies(binFor(of)!, of, archive, url, nowMs)

let house: Awaited<ReturnType<typeof startHouse>>
const owners = async () =>
  ((await (await fetch(`${house.address}/api/jobs`)).json()) as { job: { owner: string } }[])
    .map(j => j.job.owner)
    .toSorted()
async function bookIn(owner: string) {
  const { status } = await fetch(`${house.address}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...INTAKE, owner, id: randomUUID() }),
  })
  expect(status).toBe(201)
}
/** What is being written goes to the archive now, and is there. */
async function archived() {
  const db = new pg.Client({ connectionString: house.cluster!.adminUrl })
  await db.connect()
  const { rows } = await db.query<{ file: string }>('select pg_walfile_name(pg_switch_wal()) as file')
  for (;;) {
    const { rows: done } = await db.query<{ is: boolean }>(
      'select coalesce(last_archived_wal >= $1, false) as is from pg_stat_archiver',
      [rows[0]!.file],
    )
    if (done[0]!.is) break
    await sleep(100)
  }
  await db.end()
}
async function inRestored(folder: string, work: () => Promise<void>) {
  house = await start(folder)
  try {
    await work()
  } finally {
    await house.stop()
  }
}

let moment = ''
let beforeCopy = ''
beforeAll(async () => {
  beforeCopy = new Date().toISOString()
  house = await start(at('workshop'), archive)
  await bookIn('Barge Heron')
  await copy(house.cluster!.adminUrl)
  await bookIn('Barge Coot')
  await sleep(1100)
  moment = new Date().toISOString()
  await sleep(1100)
  await bookIn('Barge Teal')
  await archived()
  await house.stop()
})
afterAll(() => rmSync(folderOfTests, { recursive: true, force: true }))

describe('A workshop', () => {
  it('comes back as it was at a moment, is checked, and works on', async () => {
    const { status, said } = await restore(at('moment'), '--until', moment)
    expect([status, said]).toEqual([0, expect.stringMatching(/Brought back into .*\n[\s\S]*: whole\.\n$/)])
    await inRestored(at('moment'), async () => {
      expect(await owners()).toEqual(['Barge Coot', 'Barge Heron'])
      await bookIn('Barge Wigeon')
    })
  })
  it('comes back up to the last change that was archived', async () => {
    expect((await restore(at('end'))).status).toBe(0)
    await inRestored(at('end'), async () =>
      expect(await owners()).toEqual(['Barge Coot', 'Barge Heron', 'Barge Teal']),
    )
  })
  it('does not from before its first copy, from an empty archive, or over another; nothing is left', async () => {
    expect((await restore(at('early'), '--until', beforeCopy)).said).toMatch(/earlier moment cannot be/)
    const nothing = await given('restore', ['--archive', at('none')], { DIAPASON_DATA: at('early') })
    expect(nothing).toMatchObject({ status: 1, said: expect.stringContaining('holds no copy') as string })
    expect((await restore(at('moment'))).said).toMatch(/holds a database already/)
    expect((await restore(at('early'), '--until', 'yesterday')).status).toBe(2)
    await inRestored(at('early'), async () => expect(await owners()).toEqual([]))
  })
  it('of a moment after the end of the archive is refused, and not worked on', async () => {
    const later = new Date(Date.now() + 86_400_000).toISOString()
    expect(await restore(at('later'), '--until', later)).toMatchObject({
      status: 1,
      said: expect.stringMatching(/does not reach so far/) as string,
    })
    await expect(start(at('later'))).rejects.toThrow(/did not end/)
  })
  it('begins with a new copy when archiving was off for a while', async () => {
    house = await start(at('workshop'))
    await bookIn('Barge Pochard')
    await house.stop()
    house = await start(at('workshop'), archive)
    await copy(house.cluster!.adminUrl)
    await bookIn('Barge Smew')
    await archived()
    await house.stop()
    expect((await restore(at('gap'))).status).toBe(0)
    await inRestored(at('gap'), async () =>
      expect(await owners()).toEqual(expect.arrayContaining(['Barge Pochard', 'Barge Smew'])),
    )
  })
  it('keeps no more copies than are needed, and goes on from one that is stopped', async () => {
    house = await start(at('workshop'), archive)
    const inDays = (days: number) => Date.now() + days * 86_400_000
    const copies = async (days: number) => {
      await copy(house.cluster!.adminUrl, inDays(days))
      return readdirSync(join(archive, readdirSync(archive)[0]!)).filter(n => n.startsWith('base-')).length
    }
    mkdirSync(join(archive, readdirSync(archive)[0]!, 'base.part'))
    expect([await copies(1), await copies(8), await copies(60)]).toEqual([2, 3, 1])
    await bookIn('Barge Gadwall')
    await archived()
    await house.stop()
    expect((await restore(at('again'))).status).toBe(0)
    await inRestored(at('again'), async () => expect(await owners()).toContain('Barge Gadwall'))
  })
})

it('a trial that is archived too never mixes with the workshop that it came from', async () => {
  const [original] = readdirSync(archive)
  expect((await restore(at('trial'))).status).toBe(0)
  house = await start(at('trial'), archive)
  await copy(house.cluster!.adminUrl, undefined, join(at('trial'), 'pg'))
  await bookIn('Trial only')
  await archived()
  await house.stop()
  const listed = await restore(at('which'))
  expect([listed.status, listed.said]).toEqual([1, expect.stringMatching(/holds several databases/)])
  for (const [name, hasTrial] of [
    [original!, false],
    [readdirSync(archive).find(n => n !== original)!, true],
  ] as const) {
    expect(listed.said).toContain(join(archive, name))
    const place = { DIAPASON_DATA: at(`of-${name}`) }
    expect((await given('restore', ['--archive', join(archive, name)], place)).status).toBe(0)
    await inRestored(place.DIAPASON_DATA, async () => {
      expect(await owners()).toContain('Barge Teal')
      expect((await owners()).includes('Trial only')).toBe(hasTrial)
    })
  }
})

it('an archive has a name that a shell cannot mistake', () => {
  mkdirSync(archive, { recursive: true })
  expect(archiveFolder({ DIAPASON_WAL_ARCHIVE: archive })).toBe(archive)
  expect(archiveFolder({})).toBeNull()
  expect(() => archiveFolder({ DIAPASON_WAL_ARCHIVE: '/srv/a"; rm -rf /"' })).toThrow(/without quotes/)
})
